<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Cut\Objective;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlanner;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\CutListCsv;
use Incastro\Exchange\SheetPlanWriter;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;

/** Plans sheets for a list of pieces and prints the plan as JSON. Needs no database. */
final class CutPlanCommand extends Command
{
    use PrintsJson;

    protected $signature = 'cut:plan {pieces : CSV of pieces} {stock : CSV of sheets}
        {--kerf=3.2mm : what the blade takes}
        {--trim=6mm : off all edges, or long:6mm,short:6mm}
        {--objective=money : money, sheets, settings or offcut: what the plan is for}
        {--unit=mm : mm or in, for numbers without a unit}
        {--steps= : of improvement, the same on every machine}
        {--seconds= : in which it may be improved, instead of steps; 0 is the first plan alone}
        {--seed=1 : another finds other plans}
        {--json : accepted; the output is JSON in any case}';

    protected $description = 'Plan the sheets for a list of pieces and print the plan as JSON';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $unit = match ($this->option('unit')) {
                'mm' => Unit::Millimetre,
                'in' => Unit::Inch,
                default => throw BadFile::at('--unit:0:unit', sprintf('“%s” is not a unit here. It is mm or in.', $this->option('unit'))),
            };
            $saw = $this->saw(new LengthReader($unit));
            $pieces = (new CutListCsv($unit))->pieces((string) $this->argument('pieces'));
            $stock = (new CutListCsv($unit))->stock((string) $this->argument('stock'));
            $format = $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres('0.1');

            $seed = $this->whole('seed', 1);
            [$steps, $isLate] = $this->effort();
            $objective = Objective::tryFrom((string) $this->option('objective')) ?? throw BadFile::at('--objective:0:objective', sprintf('“%s” is not what a plan can be for. It is money, sheets, settings or offcut.', (string) $this->option('objective')));
            $plan = (new SheetPlanner($saw, $format))->plan($pieces, $stock, $steps, $seed, $isLate, objective: $objective);

            return SheetPlanWriter::write($plan, $saw) + ['steps' => $steps === PHP_INT_MAX ? null : $steps ?? SheetPlanner::STEPS, 'seed' => $seed];
        });
    }

    /**
     * @return array{?int, (\Closure(): bool)|null}
     *
     * @throws BadFile
     */
    private function effort(): array
    {
        $seconds = $this->option('seconds');
        if (! is_string($seconds)) {
            return [$this->option('steps') === null ? null : $this->whole('steps', 0), null];
        }
        if (! is_numeric($seconds) || $seconds < 0 || $seconds > 3600) {
            throw BadFile::at('--seconds:0:seconds', sprintf('“%s” is not a number of seconds from 0 to 3600.', $seconds));
        }
        $ends = microtime(true) + (float) $seconds;

        return (float) $seconds === 0.0 ? [0, null] : [PHP_INT_MAX, fn (): bool => microtime(true) > $ends];
    }

    /** @throws BadFile */
    private function whole(string $option, int $least): int
    {
        $text = (string) $this->option($option);
        $number = filter_var($text, FILTER_VALIDATE_INT);

        return $number !== false && $number >= $least ? $number : throw BadFile::at("--$option:0:$option", sprintf('“%s” is not a whole number from %d.', $text, $least));
    }

    /** @throws BadFile */
    private function saw(LengthReader $reader): SawSetup
    {
        $kerf = $this->length($reader, 'kerf', (string) $this->option('kerf'));
        $trim = (string) $this->option('trim');
        if (preg_match('/^long:(.+),short:(.+)$/', $trim, $found)) {
            return SawSetup::twoEdges($kerf, $this->length($reader, 'trim', $found[1]), $this->length($reader, 'trim', $found[2]));
        }

        return SawSetup::allEdges($kerf, $this->length($reader, 'trim', $trim));
    }

    /** @throws BadFile */
    private function length(LengthReader $reader, string $option, string $text): Length
    {
        try {
            return $reader->read($text);
        } catch (Unreadable $unreadable) {
            throw BadFile::at("--$option:0:$option", $unreadable->getMessage());
        }
    }
}
