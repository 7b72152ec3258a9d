<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\TopForm;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Space\CeilingKind;

/**
 * How high furniture may be over a stretch of a run: what is clear along its way from the mouth to its place, less plinth,
 * allowance and doubt. Under a slope that differs from its left to its right, or from its back to its face.
 */
final readonly class Headroom
{
    /** A ceiling less steep than this counts as flat, mm a mm: 2°. */
    private const SLOPE = 0.035;

    /** Depth that a box stepped back under a slope keeps at its top, mm. */
    private const STEP = 320.0;

    private float $mouth;

    public function __construct(private Terms $terms, private RunFrame $frame, private float $back, private float $face)
    {
        $this->mouth = max($face, $frame->mouth());
    }

    /**
     * Height and σ of the ceiling that something at (u, v) meets on its way to its place, from the mouth or, where its ceiling was read,
     * from before it: ceilings are concave, so the lowest is at an end of the way.
     *
     * @return array{float, float}
     */
    public function over(float $u, float $v): array
    {
        return self::lower($this->inPlace($u, $v), $this->onItsWay($u, $v));
    }

    /** @return array{float, float} */
    private function inPlace(float $u, float $v): array
    {
        return [$this->frame->ceilingAt($u, $v), $this->frame->ceilingSigmaAt($u, $v)];
    }

    /** @return array{float, float} */
    private function onItsWay(float $u, float $v): array
    {
        $atMouth = $this->inPlace($u, $v + $this->mouth - $this->face);
        $room = $this->terms->room;

        return $room->heightInFront === null ? $atMouth : self::lower($atMouth, [$room->heightInFront + $this->frame->floorAt($u, $this->mouth), $room->heightInFrontSigma]);
    }

    /**
     * The one that is lower less its doubt.
     *
     * @param  array{float, float}  $one  height and σ
     * @param  array{float, float}  $other
     * @return array{float, float}
     */
    private static function lower(array $one, array $other): array
    {
        return $other[0] - Normal::ONE_SIDED_95 * $other[1] < $one[0] - Normal::ONE_SIDED_95 * $one[1] ? $other : $one;
    }

    /** Whether the ceiling rakes along a stretch of the run, more than it slopes out from the wall. */
    public function isRaked(float $from, float $to): bool
    {
        $along = abs($this->over($to, $this->face)[0] - $this->over($from, $this->face)[0]) / max(1.0, $to - $from);

        return $along > self::SLOPE && $along >= $this->outward($from, $to);
    }

    /** Whether the ceiling rises from the wall out over a stretch of the run. */
    public function isSloped(float $from, float $to): bool
    {
        return ! $this->isRaked($from, $to) && $this->outward($from, $to) > self::SLOPE;
    }

    private function outward(float $from, float $to): float
    {
        $middle = ($from + $to) / 2;

        return ($this->over($middle, $this->face)[0] - $this->over($middle, $this->back)[0]) / max(1.0, $this->face - $this->back);
    }

    /**
     * Heights over the foot at the left, at the right and at the back of a stretch.
     *
     * @return array{Working, Working, Working}
     */
    public function heights(TopForm $form, float $from, float $to, float $foot, ?Length $reserve): array
    {
        $at = fn (float $left, float $right, float ...$depths): Working => $this->above([$left, $right], array_values($depths), $foot, $reserve);
        if ($form !== TopForm::Below && $this->isRaked($from, $to)) {
            $left = $at($from, $from, $this->back, $this->face);
            $right = $at($to, $to, $this->back, $this->face);
            if ($form === TopForm::Stepped) {
                $left = $right = $left->result->isLessThan($right->result) ? $left : $right;
            }

            return [$left, $right, $left];
        }
        if ($form !== TopForm::Below && $this->isSloped($from, $to)) {
            // Stepped boxes keep a useful depth at their top; others come up to their face.
            $front = $at($from, $to, $form === TopForm::Stepped ? max($this->back, $this->face - self::STEP) : $this->face);

            return [$front, $front, $at($from, $to, $this->back)];
        }
        $all = $at($from, $to, $this->back, $this->face);

        return [$all, $all, $all];
    }

    /**
     * The height over the foot that goes at every one of some places: the one binds that is lowest less its doubt.
     *
     * @param  list<float>  $us
     * @param  list<float>  $vs
     */
    private function above(array $us, array $vs, float $foot, ?Length $reserve): Working
    {
        $place = $way = [INF, 0.0];
        foreach ($us as $u) {
            foreach ($vs as $v) {
                $place = self::lower($place, $this->inPlace($u, $v));
                $way = self::lower($way, $this->onItsWay($u, $v));
            }
        }
        $top = $this->terms->rules->get(Rule::TopAllowance);
        if ($reserve === null || ! $reserve->isGreaterThan($top)) {
            return $this->less(self::lower($place, $way), $foot, 'above, to lift it into its place', $top);
        }
        // What is kept free for a closing is over its place, not over its way.
        $closed = $this->less($place, $foot, 'kept free above for its closing', $reserve);
        $slid = $this->less($way, $foot, 'above, to lift it into its place', $top);

        return $slid->result->isLessThan($closed->result) ? $slid : $closed;
    }

    /** @param array{float, float} $ceiling height and σ */
    private function less(array $ceiling, float $foot, string $why, Length $free): Working
    {
        $working = Working::start('lowest clear height over its way home', Length::ofDouble($ceiling[0]));
        $working = $foot > 0.0 ? $working->minus('plinth, from the highest floor point', Length::ofDouble($foot)) : $working;

        return $working->minus($why, $free)->minus('doubt of the height, 95 %', Length::ofDouble(Normal::ONE_SIDED_95 * $ceiling[1]));
    }

    /** How far out from the wall the way is clear up to a height over the foot, mm from the wall; the face where it never is. */
    public function clears(float $from, float $to, float $height, float $foot): float
    {
        $isClear = fn (float $v) => min($this->clear($from, $v), $this->clear($to, $v)) - $foot >= $height;
        if ($isClear($this->back)) {
            return $this->back;
        }
        [$low, $high] = [$this->back, $this->face];
        for ($i = 0; $i < 24; $i++) {
            $middle = ($low + $high) / 2;
            $isClear($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** Height above the datum that furniture may reach at a place, mm. */
    private function clear(float $u, float $v): float
    {
        [$height, $sigma] = $this->over($u, $v);

        return $height - $this->terms->rule(Rule::TopAllowance) - Normal::ONE_SIDED_95 * $sigma;
    }

    /**
     * The tallest box of a depth that can be stood up: its side diagonal, √(H² + D²) + allowance, goes under the clear
     * height where that is done (handbook, "Allowances").
     *
     * @return array{string, Length}
     */
    public function tilted(float $side): array
    {
        [$ceiling, $sigma, $where] = $this->whereTilted();
        $allowance = $this->terms->rule(Rule::TiltAllowance);
        $doubt = Normal::ONE_SIDED_95 * $sigma;

        return [
            sprintf('tilted up %s: √((%s − %s − %s)² − %s²)', $where, ...array_map(fn (float $mm) => $this->terms->format->finest()->write(Length::ofDouble($mm)), [$ceiling, $allowance, $doubt, $side])),
            Length::ofDouble(sqrt(max(0.0, ($ceiling - $allowance - $doubt) ** 2 - $side ** 2))),
        ];
    }

    /**
     * The ceiling under which a box is stood up: in front where that was read, else in the space itself, under a slope where
     * it is highest.
     *
     * @return array{float, float, string}
     */
    public function whereTilted(): array
    {
        $room = $this->terms->room;
        if ($room->heightInFront !== null) {
            return [$room->heightInFront, $room->heightInFrontSigma, 'in front'];
        }
        $isFlat = $room->shape->ceiling === CeilingKind::Flat;
        $best = null;
        foreach ([0.0, $this->frame->length() / 2, $this->frame->length()] as $u) {
            foreach ($isFlat ? [0.0, $this->mouth] : [$this->mouth / 2, $this->mouth] as $v) {
                $height = $this->frame->ceilingAt($u, $v);
                if ($best === null || ($isFlat ? $height < $best[0] : $height > $best[0])) {
                    $best = [$height, $this->frame->ceilingSigmaAt($u, $v), 'in the space'];
                }
            }
        }

        return $best;
    }
}
