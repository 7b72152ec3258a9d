<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Mount;

/** The edges of a face opening, inside which a leaf or a drawer front stands, or over which it laps. */
final readonly class FaceEdges
{
    /** A front usually laps over a face frame by half an inch, mm. */
    private const OVER_FRAME = 12.7;

    /** What is opened by a push goes in by so much first, mm and inches. */
    public const PUSH = [3.0, 1 / 8];

    /** @param float $face where the face is, from the back's front: y, mm */
    public function __construct(private Terms $terms, private Box $box, private int $at, private Column $column, private Opening $opening, private float $face)
    {
    }

    /**
     * How far a leaf or a drawer front stands over the edges at the left, the right, the foot and the top: less
     * than 0 where it stands inside them. Unless chosen, half an inch over a face frame; over banded edges all of an outer board
     * but its rim, and half of one that the next opening shares.
     *
     * @return array{Length, Length, Length, Length}
     */
    public function laps(Mount $mount, ?Length $chosen = null): array
    {
        $rules = $this->terms->rules;
        if ($mount === Mount::Lipped) {
            return array_fill(0, 4, $rules->get(Rule::LipLap));
        }
        if ($mount === Mount::Inset || $chosen !== null || ! $this->terms->frame()->isZero()) {
            $lap = $mount === Mount::Inset ? Length::zero()->minus($rules->get(Rule::DoorReveal)) : $chosen ?? self::usualLap($rules, $this->terms->materials);

            return [$lap, $lap, $lap, $lap];
        }
        $t = $this->terms->materials->carcass->thickness;
        $fine = $this->terms->format->fine()->step;
        $outer = $t->minus($rules->get(Rule::OverlayEdge))->roundedDown($fine);
        $shared = $t->minus($rules->get(Rule::OverlayGap))->dividedBy(2)->roundedDown($fine);
        $rows = $this->column->openings;

        return [
            $this->at === 0 ? $outer : $shared,
            $this->at === count($this->box->columns) - 1 ? $outer : $shared,
            $rows[0] === $this->opening ? $outer : $shared,
            $rows[count($rows) - 1] === $this->opening ? $outer : $shared,
        ];
    }

    /** How far a leaf usually laps over a face frame, or over the outer board of a banded box. */
    public static function usualLap(HouseRules $rules, Catalogue $materials): Length
    {
        return $rules->schools->edges === Edges::Frame ? Length::ofDouble(self::OVER_FRAME) : $materials->carcass->thickness->minus($rules->get(Rule::OverlayEdge));
    }

    /** A size of the face opening with what a front has more of it, or less, at both its edges. */
    public function over(Working $opening, Mount $mount, Length $one, Length $other, string $edges): Working
    {
        return match (true) {
            $mount === Mount::Inset => $opening->minusTimes("gap $edges", 2, $this->terms->rules->get(Rule::DoorReveal)),
            $one->isEqualTo($other) => $opening->plusTimes("lap $edges", 2, $one),
            default => $opening->plus("laps $edges", $one->plus($other)),
        };
    }

    /** Where the back of a front stands: flush inside the edges, half its thickness inside them behind its lip, or before them on its bumpers; y, mm. */
    public function front(Mount $mount, float $thick, bool $isPushed = false): float
    {
        return match ($mount) {
            Mount::Inset => $this->face - $thick,
            Mount::Lipped => $this->face - $thick / 2,
            Mount::Overlay => $this->face + ($isPushed ? $this->terms->rules->either(...self::PUSH)->toDouble() : $this->bump()),
        };
    }

    /** How far a front that laps over its edges stands before them, mm. */
    public function bump(): float
    {
        return $this->terms->rules->either(2, 1 / 16)->toDouble();
    }
}
