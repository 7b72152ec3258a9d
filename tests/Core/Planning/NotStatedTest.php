<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Exchange\JobFile;
use Incastro\Measure\WorkingStep;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;

/** A space that was measured before anybody was asked how even its walls are. */
final class NotStatedTest extends TestCase
{
    private static function plan(?string $texture): SpacePlan
    {
        ['job' => $document] = JobFile::read('honest-alcove.json', (string) file_get_contents(__DIR__.'/../../examples/honest-alcove.json'));
        $document['spaces'][0]['texture'] = $texture;

        return (new Planner())->plan(JobReader::read($document))->spaces[0];
    }

    /** @return list<string> */
    private static function said(SpacePlan $plan): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->sentence, array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::TextureNotStated)));
    }

    /** @return array<string, float> lines of the width of its first box that are doubts, mm */
    private static function doubts(SpacePlan $plan): array
    {
        $steps = array_filter($plan->layout->runs[0]->boxes[0]->width->steps ?? [], fn (WorkingStep $step) => str_contains($step->label, 'doubt') || str_contains($step->label, 'plaster'));

        return array_map(fn (WorkingStep $step) => $step->value->toDouble(), array_column($steps, null, 'label'));
    }

    public function test_one_note_names_the_pieces_that_plaster_changes(): void
    {
        $said = self::said(self::plan(null));
        self::assertCount(1, $said);
        self::assertMatchesRegularExpression('/^Nobody has said how even these walls are, so they are reckoned as ordinary plaster: B1-.+ and \d+ more are up to [\d.]+ mm otherwise than between planes\. /', $said[0]);
        self::assertSame([], self::said(self::plan('ordinary')));
    }

    public function test_plaster_is_a_line_of_its_own_in_the_working_of_a_width(): void
    {
        self::assertSame(['doubt left, 95 %', 'doubt right, 95 %'], array_keys(self::doubts(self::plan('plane'))));
        $ordinary = self::doubts(self::plan('ordinary'));
        self::assertSame(['doubt left of tape and level, 95 %', 'and of the plaster left', 'doubt right of tape and level, 95 %', 'and of the plaster right'], array_keys($ordinary));
        // The rougher the walls, the more of it is theirs; the tools are the same.
        $old = self::doubts(self::plan('old'));
        self::assertGreaterThan($ordinary['and of the plaster left'] + 0.5, $old['and of the plaster left']);
        self::assertEqualsWithDelta($ordinary['doubt left of tape and level, 95 %'], $old['doubt left of tape and level, 95 %'], 0.3);
    }
}
