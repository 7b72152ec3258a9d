<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Drawing\SvgWriter;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\Fault;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Grade;
use Incastro\Trial\RoomTrial;
use Incastro\Trial\TrialDrawing;
use Incastro\Trial\TrialReport;
use Symfony\Component\Process\Process;

/** Does it really fit? Made-up crooked rooms are measured, planned for, and what was planned is put into them. */
final class TrialRoomsCommand extends Command
{
    use PrintsJson;

    protected $signature = 'trial:rooms 
        {--count=1000 : rooms of each kind}
        {--seed=1 : of the first room}
        {--kind= : alcove, closet, under-stair roof-slope or chimney; all five where left out}
        {--slips=0.01 : share of readings that go wrong}
        {--grade= : plane, mild or old walls; mild and old in turn where left out}
        {--optional=0.5 : share of the optional readings that are taken}
        {--rooms= : bare, for rooms with nothing on their walls and the usual layout}
        {--json : accepted; the output is JSON in any case}
        {--draw= : seed of one room to print as SVG}';

    protected $description = 'Measures, plans and fits made-up crooked rooms, and says how many pieces go in at the first try';

    private const KINDS = [SpaceKind::Alcove, SpaceKind::Closet, SpaceKind::UnderStair, SpaceKind::RoofSlope, SpaceKind::Chimney];

    public function handle(): int
    {
        $faults = $this->faults();
        if ($faults !== []) {
            return $this->printed(fn () => throw new BadFile($faults));
        }
        if ($this->option('draw') !== null) {
            $kind = SpaceKind::from($this->text('kind') ?: 'alcove');
            $result = $this->trial($kind, $this->grades()[0])->run((int) $this->text('draw'));
            $this->output->writeln((new SvgWriter(10.0))->write((new TrialDrawing($result))->draw()));

            return self::SUCCESS;
        }
        if (! $this->compiles() && getenv('INCASTRO_TRIAL') === false) {
            return $this->compiled();
        }

        return $this->printed(fn (): array => $this->text('kind') === ''
            ? array_map($this->report(...), self::KINDS)
            : $this->report(SpaceKind::from($this->text('kind'))));
    }

    /** @return array<string, mixed> */
    private function report(SpaceKind $kind): array
    {
        $start = hrtime(true);
        $seed = (int) $this->text('seed');
        $report = new TrialReport($kind, $seed);
        // In turn: mild, old, mild …
        $trials = array_map(fn (Grade $grade) => $this->trial($kind, $grade), $this->grades());
        for ($i = 0; $i < (int) $this->text('count'); $i++) {
            $report->add($trials[$i % count($trials)]->run($seed + $i));
        }

        return $report->toArray((hrtime(true) - $start) / 1e9);
    }

    private function trial(SpaceKind $kind, Grade $grade): RoomTrial
    {
        return new RoomTrial($kind, (float) $this->text('slips'), $this->text('rooms') === 'bare', $grade, (float) $this->text('optional'));
    }

    /** @return non-empty-list<Grade> */
    private function grades(): array
    {
        return $this->text('grade') === '' ? [Grade::Mild, Grade::Old] : [Grade::from($this->text('grade'))];
    }

    private function text(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : '';
    }

    /** @return list<Fault> */
    private function faults(): array
    {
        $faults = [];
        foreach (['count' => [1, 100_000], 'seed' => [0, 1_000_000_000], 'draw' => [0, 1_000_000_000]] as $name => [$least, $most]) {
            $given = $this->option($name);
            if ($given !== null && filter_var($given, FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]]) === false) {
                $faults[] = new Fault("command:0:$name", sprintf('“%s” is not a whole number from %d to %d.', $this->text($name), $least, $most));
            }
        }
        foreach (['slips', 'optional'] as $share) {
            if (filter_var($this->text($share), FILTER_VALIDATE_FLOAT, ['options' => ['min_range' => 0.0, 'max_range' => 1.0]]) === false) {
                $faults[] = new Fault("command:0:$share", sprintf('“%s” is not a share from 0 to 1.', $this->text($share)));
            }
        }
        $grades = array_column(Grade::cases(), 'value');
        if ($this->text('grade') !== '' && ! in_array($this->text('grade'), $grades, true)) {
            $faults[] = new Fault('command:0:grade', sprintf('“%s” is not one of %s.', $this->text('grade'), implode(', ', $grades)));
        }
        if (! in_array($this->text('rooms'), ['', 'bare'], true)) {
            $faults[] = new Fault('command:0:rooms', sprintf('“%s” is not a way to furnish rooms. It is bare, or left out.', $this->text('rooms')));
        }
        $kinds = array_map(fn (SpaceKind $kind) => $kind->value, self::KINDS);
        if ($this->text('kind') !== '' && ! in_array($this->text('kind'), $kinds, true)) {
            $faults[] = new Fault('command:0:kind', sprintf('“%s” is not one of %s.', $this->text('kind'), implode(', ', $kinds)));
        }

        return $faults;
    }

    private function compiles(): bool
    {
        $status = function_exists('opcache_get_status') ? @opcache_get_status(false) : false;

        return is_array($status) && ($status['jit']['on'] ?? false) === true;
    }

    /** The sums run in half the time under PHP's own compiler, which the command line leaves off: once more, with it. */
    private function compiled(): int
    {
        $arguments = array_slice(is_array($_SERVER['argv'] ?? null) ? $_SERVER['argv'] : [], 1);
        $process = new Process([PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', base_path('artisan'), ...array_map(strval(...), $arguments)], base_path(), ['INCASTRO_TRIAL' => '1'], null, null);

        return $process->run(function (string $type, string $text): void {
            fwrite($type === Process::OUT ? STDOUT : STDERR, $text);
        });
    }
}
