<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Cut\Objective;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\CutListCsv;
use Incastro\Exchange\SheetPlanWriter;
use Incastro\Exchange\ToolsFile;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Planning\SheetStage;
use Incastro\Saw\SawPlanner;
use Incastro\Saw\Tools;
use Incastro\Saw\Yard;

/** Plans sheets for a list of pieces and prints the plan as JSON. Needs no database. */
final class CutPlanCommand extends Command
{
    use PrintsJson;

    protected $signature = 'cut:plan {pieces : CSV of pieces} {stock : CSV of sheets}
        {--kerf=3.2mm : what the blade takes}
        {--trim=6mm : off all edges, or long:6mm,short:6mm}
        {--objective=money : money, sheets, settings, offcut or yard: what the plan is for}
        {--tools= : JSON of the tools owned; of plans at one price the one that is sawn best with them}
        {--yard= : straight cuts of a sheet that the yard makes}
        {--unit=mm : mm or in, for numbers without a unit}
        {--steps= : of improvement, the same on every machine}
        {--seconds= : in which it may be improved, instead of steps; 0 is the first plan alone}
        {--seed=1 : another finds other plans}
        {--json : accepted; the output is JSON in any case}';

    protected $description = 'Plan the sheets for a list of pieces and print the plan as JSON';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $unit = $this->unit();
            $saw = $this->saw(new LengthReader($unit));
            $list = new CutListCsv($unit);
            $pieces = $list->pieces((string) $this->argument('pieces'));
            $stock = (new CutListCsv($unit))->stock((string) $this->argument('stock'));
            $format = $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres('0.1');
            $pieces = $list->together((string) $this->argument('pieces'), $pieces, $saw, $format, $stock);

            $seed = $this->whole('seed', 1);
            [$steps, $isLate] = $this->effort();
            $isForYard = $this->option('objective') === 'yard';
            $objective = $isForYard ? Objective::Money : Objective::tryFrom((string) $this->option('objective')) ?? throw BadFile::at('--objective:0:objective', sprintf('“%s” is not what a plan can be for. It is money, sheets, settings, offcut or yard.', (string) $this->option('objective')));
            $tools = $this->tools();
            if ($isForYard && $tools?->yard === null) {
                throw BadFile::at('--objective:0:objective', 'Nobody said what the yard does. Add --yard=3, or a yard to the tools.');
            }
            $plans = function () use ($saw, $format, $pieces, $stock, $steps, $seed, $isLate, $objective): \Generator {
                for ($other = $seed; $other === $seed || $other < $seed + SheetStage::SEEDS && ($isLate === null || ! $isLate()); $other++) {
                    yield (new SheetPlanner($saw, $format))->plan($pieces, $stock, $steps, $other, $isLate, objective: $objective);
                }
            };
            $plan = $tools === null ? $plans()->current() : $objective->best($plans(), function (SheetPlan $plan) use ($saw, $tools, $format, $isForYard): array {
                $sawn = (new SawPlanner($saw, $tools, $format, fn () => SawStepsCommand::DENSITY))->steps($plan->sheets);

                return [...$isForYard ? [round($sawn->heaviest, 2)] : [], ...$sawn->cost()];
            });

            return SheetPlanWriter::write($plan, $saw) + ['steps' => $steps === PHP_INT_MAX ? null : $steps ?? SheetPlanner::STEPS, 'seed' => $seed];
        });
    }

    /**
     * The tools that limit the plan, with what the yard does; null where nobody named any.
     *
     * @throws BadFile
     */
    private function tools(): ?Tools
    {
        $file = is_string($this->option('tools')) ? $this->option('tools') : null;
        if ($file !== null && ! is_file($file)) {
            throw BadFile::at("$file:0:tools", 'There is no such file.');
        }
        $tools = $file === null ? null : ToolsFile::read($file, (string) file_get_contents($file));
        if ($this->option('yard') === null) {
            return $tools;
        }
        $yard = $tools->yard ?? Yard::usual();

        return new Tools($tools?->table, $tools?->guided, $tools?->mitre, $tools->people ?? 1, new Yard($this->whole('yard', 0), $yard->tolerance, $yard->leastStrip, $yard->kerf, $yard->oversize, $yard->step));
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
