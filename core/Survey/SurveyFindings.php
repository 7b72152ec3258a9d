<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Rules\Finding;

/** What the readings say about themselves: what is missing, and which do not agree. */
final readonly class SurveyFindings
{
    /** Two-sided 99 %: one sound survey in a hundred is asked about for nothing, per comparison. */
    private const DISAGREES = 2.576;

    /**
     * @param  list<Slot>  $slots
     * @param  array<string, Reading>  $readings  by slot
     */
    public function __construct(
        private AlcoveSheet $sheet,
        private array $slots,
        private array $readings,
        private bool $planIsChecked,
        private bool $planCloses,
        private ?Adjusted $adjusted,
        private ?Room $room,
    ) {
    }

    /** @return list<Finding> */
    public function all(): array
    {
        $againstPlumb = $this->widthsAgainstPlumb();

        return [
            ...$this->takesThatDiffer(),
            ...$againstPlumb,
            ...($againstPlumb === [] ? $this->againstTheRest() : []),
            ...$this->unchecked(),
        ];
    }

    /** @return list<Finding> */
    private function takesThatDiffer(): array
    {
        $findings = [];
        foreach ($this->readings as $reading) {
            if ($reading->takesDiffer()) {
                $findings[] = Finding::warning('takes-differ', sprintf('The two takes of “%s” differ by more than a tape does. Take it a third time.', $reading->slot->label), $reading->slot->id);
            }
        }

        return $findings;
    }

    /**
     * Widths at two heights against the leans between them: w(z₂) − w(z₁) = −(lean left + lean right), handbook,
     * "Adjusting the readings". A level that covers most of the step speaks for all of it.
     *
     * @return list<Finding>
     */
    private function widthsAgainstPlumb(): array
    {
        $findings = [];
        foreach ([['low', 'low', 'middle', 'lower half'], ['high', 'middle', 'high', 'upper half']] as [$half, $below, $above, $name]) {
            $left = $this->readings["plumb-left-$half"] ?? null;
            $right = $this->readings["plumb-right-$half"] ?? null;
            $widths = [];
            foreach (AlcoveSheet::COLUMNS as $column) {
                foreach ([$below, $above] as $row) {
                    if (isset($this->readings["width-$row-$column"])) {
                        $widths["$row-$column"] = $this->readings["width-$row-$column"];
                    }
                }
            }
            $step = $this->sheet->heightOf($above) - $this->sheet->heightOf($below);
            if ($left === null || $right === null || count($widths) < 4 || (float) $left->slot->span < 0.8 * $step) {
                continue;
            }
            $grows = 0.0;
            $variance = 0.0;
            foreach ($widths as $key => $reading) {
                $grows += (str_starts_with($key, $above) ? 1 : -1) * $reading->value() / 2;
                $variance += ($reading->sigma() / 2) ** 2;
            }
            $share = $step / (float) $left->slot->span;
            $leans = $share * ($left->value() + $right->value());
            $variance += $share ** 2 * ($left->sigma() ** 2 + $right->sigma() ** 2);
            $off = $grows + $leans;
            if (abs($off) > self::DISAGREES * sqrt($variance)) {
                $findings[] = Finding::warning('width-against-plumb', sprintf(
                    'In the %s the widths and the plumb readings disagree by %.0f mm: the widths say the space gets %.0f mm %s, the level says %.0f mm %s. Take again: %s, %s, or the widths there (%s).',
                    $name,
                    abs($off),
                    abs($grows),
                    $grows < 0 ? 'narrower' : 'wider',
                    abs($leans),
                    $leans > 0 ? 'narrower' : 'wider',
                    lcfirst($left->slot->label),
                    lcfirst($right->slot->label),
                    implode('; ', array_map(fn (Reading $reading) => lcfirst($reading->slot->label), $widths)),
                ), $left->slot->id);
            }
        }

        return $findings;
    }

    /**
     * The reading whose normalised residual is beyond the family-wise 5 % limit, if any.
     *
     * @return list<Finding>
     */
    private function againstTheRest(): array
    {
        if ($this->adjusted === null) {
            return [];
        }
        $worst = null;
        $count = 0;
        foreach ($this->adjusted->observations as $k => $observation) {
            if ($observation->isAssumption) {
                continue;
            }
            $count++;
            if ($worst === null || $this->adjusted->normalised($k) > $this->adjusted->normalised($worst)) {
                $worst = $k;
            }
        }
        if ($worst === null || $this->adjusted->normalised($worst) <= self::limit($count)) {
            return [];
        }
        $observation = $this->adjusted->observations[$worst];
        $slot = $this->readings[$observation->id]->slot;
        $error = -$this->adjusted->residuals[$worst] / $this->adjusted->redundancy($worst);

        return [Finding::warning('reading-against-rest', sprintf(
            '“%s” does not agree with the others: it looks about %.1f %s too %s. Take it again, and what it is measured with.',
            $slot->label,
            abs($error),
            $slot->kind->isAngle() ? 'degrees' : 'mm',
            $error > 0 ? 'large' : 'small',
        ), $slot->id)];
    }

    /**
     * The two-sided normal quantile for 0.05/n (handbook, "Adjusting the readings"), by the rational approximation of
     * Abramowitz and Stegun 26.2.23, good to 4.5·10⁻⁴.
     */
    private static function limit(int $n): float
    {
        $t = sqrt(-2 * log(0.025 / max(1, $n)));

        return $t - (2.515517 + 0.802853 * $t + 0.010328 * $t ** 2) / (1 + 1.432788 * $t + 0.189269 * $t ** 2 + 0.001308 * $t ** 3);
    }

    /** @return list<Finding> */
    private function unchecked(): array
    {
        $findings = [];
        if (! $this->planCloses) {
            $findings[] = Finding::warning('plan-cannot-close', 'The diagonals and corners contradict the widths and depths so far that no plan closes. Take the diagonals again; until then they are left out.', 'diagonal-left');
        } elseif ($this->room !== null && ! $this->planIsChecked) {
            $findings[] = Finding::warning('plan-not-checked', 'Nothing shows yet whether the alcove is skewed: widths and depths agree just as well in a slanted plan. Take one diagonal or one corner angle.', 'diagonal-left');
        }
        $front = array_filter($this->slots, fn (Slot $slot) => $slot->id === 'height-front');
        if ($this->room !== null && $front !== [] && ! isset($this->readings['height-front'])) {
            $findings[] = Finding::note('height-in-front-missing', 'The ceiling height in front is not known, so a box is reckoned to be stood up under the alcove’s own ceiling.', 'height-front');
        }

        return $findings;
    }
}
