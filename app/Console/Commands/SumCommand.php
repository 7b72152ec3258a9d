<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\Fault;
use Incastro\Exchange\SumWriter;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Sums\AllSums;

/** Works a quick sum out and prints its answers as JSON. Needs no database. */
final class SumCommand extends Command
{
    use PrintsJson;

    protected $signature = 'sum {name : spacing, divide, mitre, boards, square, slope, circle, screw, drawer, doors, weight, paint or tape}
        {typed?* : what is known, as field=value; all else as in the sum’s example}
        {--unit=mm : mm or in}';

    protected $description = 'Work a quick sum out and print its answers with their working';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $format = $this->unit()->isMetric() ? LengthFormat::millimetres() : LengthFormat::inches();
            $name = (string) $this->argument('name');
            $sum = AllSums::find($name) ?? throw BadFile::at('sum:0:name', sprintf('“%s” is no sum. There are: %s.', $name, implode(', ', array_map(fn (Blueprint $one) => $one->about->kind, AllSums::blueprints()))));
            [$worked, $faults] = AllSums::worked($sum, $this->typed(), $format);
            if ($worked === null) {
                throw new BadFile(array_map(fn (string $field, string $sentence) => new Fault("$name:0:$field", $sentence), array_keys($faults), $faults) ?: throw new \LogicException("$name has neither answer nor fault."));
            }

            return ['sum' => $name] + (new SumWriter($format))->worked($worked);
        });
    }

    /** @return array<string, string> */
    private function typed(): array
    {
        $typed = [];
        foreach ((array) $this->argument('typed') as $pair) {
            [$field, $value] = [...explode('=', (string) $pair, 2), null];
            $typed[$field] = $value ?? throw BadFile::at("sum:0:$field", sprintf('“%s” has no value. Type field=value, such as length=1900.', $pair));
        }

        return $typed;
    }
}
