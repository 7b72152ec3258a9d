<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\CutPlanFile;
use Incastro\Exchange\SawStepsWriter;
use Incastro\Exchange\ToolsFile;
use Incastro\Measure\LengthFormat;
use Incastro\Saw\NotSawable;
use Incastro\Saw\SawPlanner;

/** Puts the cuts of a plan in order for the tools owned and prints the steps as JSON. Needs no database. */
final class SawStepsCommand extends Command
{
    use PrintsJson;

    /** Where a plan does not say what a material weighs: plywood, kg/m³. */
    public const DENSITY = 680.0;

    protected $signature = 'saw:steps {plan : what cut:plan answered} {tools : JSON of the tools owned}
        {--window=2 : sheets that may be open at once}
        {--side-by-side=1 : 1 where strips may lie side by side under the guide, else 0}
        {--json : accepted; the output is JSON in any case}';

    protected $description = 'Put the cuts of a plan in order and print the steps as JSON';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $plan = new CutPlanFile((string) $this->argument('plan'), $this->read('plan'));
            $tools = ToolsFile::read((string) $this->argument('tools'), $this->read('tools'));
            $window = filter_var($this->option('window'), FILTER_VALIDATE_INT);
            if ($window === false || $window < 1) {
                throw BadFile::at('--window:0:window', sprintf('“%s” is not a whole number of sheets from 1.', (string) $this->option('window')));
            }
            try {
                $steps = (new SawPlanner($plan->saw, $tools, LengthFormat::millimetres('0.1'), fn () => self::DENSITY))->steps($plan->sheets, $window, $this->option('side-by-side') !== '0');
            } catch (NotSawable $not) {
                throw BadFile::at($this->argument('plan').':$.sheets', $not->getMessage());
            }

            return SawStepsWriter::write($steps, $plan->sheets);
        });
    }
}
