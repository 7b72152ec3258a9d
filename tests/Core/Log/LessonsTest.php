<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Incastro\Log\FitKind;
use Incastro\Log\JobRecord;
use Incastro\Log\Lesson;
use Incastro\Log\Lessons;
use Incastro\Log\ProblemKind;
use Incastro\Measure\LengthFormat;
use PHPUnit\Framework\TestCase;

/** What the log teaches, from what it holds; each example with its sum. */
final class LessonsTest extends TestCase
{
    private const RULES = ['kerf' => 2.2, 'allowance' => 3.0, 'reserve' => 5.0, 'notch' => 3.0, 'reveal' => 2.5];

    /** @param array<string, mixed> $holds */
    private static function job(array $holds): JobRecord
    {
        return new JobRecord(...$holds + ['job' => 'j', 'rules' => self::RULES]);
    }

    /** @return array<string, Lesson> by what they are about */
    private static function told(JobRecord ...$jobs): array
    {
        return array_column((new Lessons(array_values($jobs), LengthFormat::millimetres()))->all(), null, 'about');
    }

    /**
     * @param  list<float>  $deltas
     * @return list<array{tool: string, delta: float, box: string, fixesWidth: bool}>
     */
    private static function cut(array $deltas, bool $fixesWidth = false): array
    {
        return array_map(fn (float $delta): array => ['tool' => 'fence', 'delta' => $delta, 'box' => '', 'fixesWidth' => $fixesWidth], $deltas);
    }

    public function test_a_saw_that_is_off_is_told_with_its_evidence(): void
    {
        $told = self::told(self::job(['cut' => self::cut([0.5, 1.0, 0.5, 1.0, 1.0, 0.5, 1.5, 1.0, 0.5, 1.0, 0.5, 1.0])]));
        self::assertSame(['saw:fence'], array_keys($told));
        self::assertSame('Pieces from the fence come out 0.8 mm long', $told['saw:fence']->title);
        self::assertSame(['12 pieces measured: +0.8 mm on average, give or take 0.2 mm.'], $told['saw:fence']->evidence);
        // Seven pieces tell nothing.
        self::assertSame([], self::told(self::job(['cut' => self::cut(array_fill(0, 7, 1.0))])));
    }

    public function test_boxes_that_jam_ask_for_more_room(): void
    {
        $jammed = fn (float $by): array => ['box' => "b$by", 'how' => FitKind::Jammed, 'by' => $by];
        $fits = [$jammed(2.0), $jammed(1.5), $jammed(2.0)];
        // Boards within 0.3: nothing explains it; 2.0/2 = 1 each side: 3 becomes 4.
        $told = self::told(self::job(['fits' => $fits, 'cut' => self::cut([0.3, -0.3], true)]));
        self::assertSame(['jams'], array_keys($told));
        self::assertSame(['rules.side_allowance', ['nm' => 4_000_000, 'typed' => '4 mm']], [$told['jams']->habit, $told['jams']->value]);
        self::assertStringContainsString('4 mm each side instead of 3 mm', $told['jams']->suggestion);
        // Each board 1.0 too long, and sides 0.5 thicker: 1.0 + 2·0.5 = 2.0 explains all; the saw and the thickness are told.
        $thick = array_fill(0, 3, ['material' => 'ply', 'name' => 'Plywood', 'usual' => 18.1, 'measured' => 18.6]);
        $explained = self::told(self::job(['fits' => $fits, 'cut' => self::cut(array_fill(0, 12, 1.0), true), 'thickness' => $thick]));
        self::assertSame(['saw:fence', 'thickness:ply'], array_keys($explained));
        // Two are not three.
        self::assertSame([], self::told(self::job(['fits' => array_slice($fits, 0, 2)])));
    }

    public function test_boxes_with_room_to_spare_ask_for_less_where_none_jams(): void
    {
        $loose = array_fill(0, 3, ['box' => 'b', 'how' => FitKind::Loose, 'by' => 7.0]);
        $rules = ['allowance' => 8.0] + self::RULES;
        // 8 − 7/2 = 4.5, up to the next whole millimetre: 5; never under 2.
        self::assertSame(5_000_000, self::told(self::job(['fits' => $loose, 'rules' => $rules]))['loose']->value['nm'] ?? null);
        self::assertSame(2_000_000, self::told(self::job(['fits' => $loose]))['loose']->value['nm'] ?? null);
        $one = ['box' => 'c', 'how' => FitKind::Jammed, 'by' => 1.0];
        self::assertSame([], self::told(self::job(['fits' => [...$loose, $one]])));
    }

    public function test_strips_tell_the_kerf(): void
    {
        // 2428 − 2246 = 182 should remain; with four cuts 172.0, 171.5, 172.5 do: 2.5, 2.625, 2.375.
        $strips = array_map(fn (float $rest): array => ['rest' => 182.0, 'measured' => $rest, 'cuts' => 4], [172.0, 171.5, 172.5]);
        $kerf = self::told(self::job(['strips' => $strips]))['kerf'];
        self::assertSame(['rules.kerf', 2_500_000], [$kerf->habit, $kerf->value['nm'] ?? null]);
        self::assertSame([], self::told(self::job(['strips' => array_slice($strips, 0, 2)])));
    }

    public function test_callipers_tell_the_thickness(): void
    {
        $sheets = array_map(fn (float $mm): array => ['material' => 'ply', 'name' => 'Plywood', 'usual' => 18.1, 'measured' => $mm], [17.6, 17.7, 17.6]);
        // 52.9/3 = 17.63, 0.47 off: 17.6.
        $told = self::told(self::job(['thickness' => $sheets]))['thickness:ply'];
        self::assertSame(['Plywood is 17.6 mm thick, not 18.1 mm', 'thickness.ply', 17_600_000], [$told->title, $told->habit, $told->value['nm'] ?? null]);
    }

    public function test_what_goes_wrong_twice_asks_for_its_rule(): void
    {
        $told = self::told(self::job(['problems' => [ProblemKind::ScribeShort, ProblemKind::ScribeShort, ProblemKind::NotchTwice]]), self::job(['problems' => [ProblemKind::NotchTwice, ProblemKind::DoorRubs, ProblemKind::DoorRubs, ProblemKind::Missing, ProblemKind::Missing]]));
        // Reserve 5 + 3, play 3 + 2, reveal 2.5 + 0.5.
        self::assertSame(['scribe-short' => 8_000_000, 'notch-twice' => 5_000_000, 'door-rubs' => 3_000_000], array_map(fn (Lesson $one) => $one->value['nm'] ?? null, $told));
    }

    public function test_what_is_tacky_twice_dries_slower_and_what_takes_longer_is_told(): void
    {
        $told = self::told(self::job(['tacky' => ['filler', 'filler', 'caulk'], 'minutes' => [['estimate' => 60.0, 'actual' => 85.0], ['estimate' => 40.0, 'actual' => 55.0], ['estimate' => 40.0, 'actual' => 50.0], ['estimate' => 30.0, 'actual' => 45.0], ['estimate' => 20.0, 'actual' => 30.0]]]));
        self::assertSame(['drying:filler', 'pace'], array_keys($told));
        self::assertSame(['hours.filler', 2.5, 1.24], [$told['drying:filler']->habit, $told['drying:filler']->value, $told['pace']->value]);
    }

    public function test_an_empty_log_teaches_nothing(): void
    {
        self::assertSame([], self::told(self::job([])));
        self::assertSame([], self::told());
    }
}
