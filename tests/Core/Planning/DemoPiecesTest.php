<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Exchange\JobFile;
use Incastro\Planning\JobReader;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every piece of the demo, as it was when somebody last looked: a change of the code changes a piece only where it means to.
 * `tools/demo-pieces.php` writes the file anew.
 */
final class DemoPiecesTest extends TestCase
{
    private const FILE = __DIR__.'/../../examples/demo-pieces.txt';

    /** @return array<string, array{string}> */
    public static function jobs(): array
    {
        $jobs = [];
        foreach (glob(__DIR__.'/../../../database/demo/*.json') ?: [] as $file) {
            $jobs[basename($file, '.json')] = [$file];
        }

        return $jobs;
    }

    #[DataProvider('jobs')]
    public function test_the_pieces_of_the_demo_are_those_that_were_looked_at(string $file): void
    {
        $name = basename($file, '.json');
        preg_match("/^## $name\n(.*?)(?=^## |\z)/ms", (string) file_get_contents(self::FILE), $kept);
        self::assertSame(explode("\n", trim($kept[1] ?? '')), self::lines($file));
    }

    /** @return list<string> a line for every piece of a job file: mark, finished sizes, and all that is done to it */
    public static function lines(string $file): array
    {
        $plan = self::plan($file);
        $lines = [];
        foreach ($plan->pieces() as $piece) {
            $works = array_map(fn ($work) => $work->edge().': '.$work->words($plan->job->format), $piece->works);
            $lines[] = implode(' | ', [
                $piece->mark, $piece->name,
                self::mm($piece->length->result->toDouble()).' x '.self::mm($piece->width->result->toDouble()).' x '.self::mm($piece->thickness->toDouble()),
                $piece->material->id, $piece->grain->value, implode('; ', $works), implode('; ', $piece->joints),
                sprintf('%d corners, %d holes, %.1f cm²', count($piece->outline->outer->points), count($piece->outline->holes), $piece->outline->area() / 100),
            ]);
        }

        return $lines;
    }

    private static function plan(string $file): Plan
    {
        return (new Planner())->plan(JobReader::read(JobFile::read(basename($file), (string) file_get_contents($file))['job']));
    }

    private static function mm(float $mm): string
    {
        return rtrim(rtrim(sprintf('%.4f', $mm), '0'), '.');
    }
}
