<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Measure\WorkingStep;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;

/** Writes lengths, workings and findings as JSON: a length is {"nm", "text"}, its text in the job's unit and fraction. */
final readonly class LengthWriter
{
    public function __construct(private LengthFormat $format)
    {
    }

    /** @return array<string, mixed> */
    public function working(Working $working): array
    {
        return ['nm' => $working->result->nanometres(), 'text' => $this->format->writeCut($working->result), 'steps' => array_map(fn (WorkingStep $step) => [
            'label' => $step->label, 'sign' => $step->sign, 'value' => $this->exact($step->value),
        ], $working->steps)];
    }

    /** @return array{nm: int, text: string} */
    public function mm(float $millimetres): array
    {
        return $this->length(Length::ofDouble($millimetres));
    }

    /** @return array{nm: int, text: string} */
    public function length(Length $length): array
    {
        return ['nm' => $length->nanometres(), 'text' => $this->format->write($length)];
    }

    /**
     * Shown finer than it is cut: steps of a working, so that the sum can be followed, scribe lines, and boards as measured.
     *
     * @return array{nm: int, text: string}
     */
    public function exact(Length $length): array
    {
        return ['nm' => $length->nanometres(), 'text' => $this->format->finest()->write($length)];
    }

    /** @return array<string, mixed> */
    public static function finding(Finding $finding): array
    {
        return [
            'code' => $finding->code->value, 'severity' => $finding->severity->value, 'sentence' => $finding->sentence, 'place' => $finding->place, 'related' => $finding->related,
            'ways_out' => array_map(fn (WayOut $way) => ['label' => $way->label, 'edit' => $way->edit->toArray(), 'of' => $way->isOfJob ? 'job' : 'space'], $finding->waysOut),
        ];
    }
}
