<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;

/** What a step says at the saw: what to set, what to do, what to look out for, and how long it takes. */
final readonly class StepWords
{
    /** A narrower piece beside the fence is pushed with a stick, nm. */
    private const PUSH_STICK = 150_000_000;

    /** A narrower rest stays by the blade, nm. */
    private const SLIVER = 20_000_000;

    /** From here on a part is told with its weight, kg. */
    private const HEAVY = 15.0;

    public function __construct(private LengthFormat $format)
    {
    }

    public function verb(Step $step): string
    {
        return match (true) {
            $step->class === CutClass::Yard => 'At the yard, ask for',
            $step->class === CutClass::Straighten && $step->cuts[0]->axis === Axis::X => 'Square one end: take off',
            $step->class === CutClass::Straighten => 'Straighten: take off',
            $step->way === Way::Fence => 'Set the fence to',
            $step->way === Way::Sled => 'Set the stop of the sled to',
            $step->way === Way::Stop => 'Set the stop to',
            default => 'Mark at',
        };
    }

    /** What is set, or taken off an edge that was never sawn. */
    public function number(Step $step): Length
    {
        $cut = $step->cuts[0];

        return Length::ofNanometres(($step->size ?? ($step->class === CutClass::Yard ? $cut->at : $cut->at + $cut->kerf)) + ($this->isByScale($step) ? $step->setOff : 0));
    }

    /** A guide is laid by a mark at the size itself. */
    private function isByScale(Step $step): bool
    {
        return $step->size !== null && $step->way->tool() !== ToolKind::GuidedSaw;
    }

    /** What a scale that is off gives when it is set so. */
    private function given(Step $step): string
    {
        return ! $this->isByScale($step) || $step->setOff === 0 ? '' : sprintf(' That gives %s: its scale is %s off.', $this->format->finest()->write(Length::ofNanometres($step->size ?? 0)), $this->format->finest()->write(Length::ofNanometres(abs($step->setOff))));
    }

    /** Where the guide's edge lies, as fine as it can be laid: half a millimetre, 1/64 in. */
    public function guideAt(Step $step): ?Length
    {
        return $step->guideAt === null ? null : Length::ofNanometres($step->guideAt)->rounded($this->format->unit === Unit::Inch ? LengthFormat::inches(64)->step : LengthFormat::millimetres('0.5')->step);
    }

    public function words(Step $step): string
    {
        $parts = count($step->cuts) === 1 ? 'one part' : count($step->cuts).' parts';
        $does = $step->cuts[0]->axis === Axis::Y ? 'Rip' : 'Crosscut';
        $narrow = array_filter($step->cuts, fn (SawCut $cut) => $step->way === Way::GuideOnPiece && ($cut->axis === Axis::X ? $cut->frees->x : $cut->frees->y) < Tools::STEADY);

        return match (true) {
            $step->class === CutClass::Yard => sprintf('%s of the %s, as the yard sheet has it. The final sizes are cut at home: what is 2 mm off is fine.', implode(', ', array_map(fn (SawCut $cut) => $this->format->write(Length::ofNanometres($cut->at)), $step->cuts)), $step->cuts[0]->axis === Axis::X ? 'length' : 'width'),
            $step->class === CutClass::Straighten && $step->cuts[0]->axis === Axis::X => sprintf('Square one end of %s to the straight edge. It is what everything is measured from along the length.', $parts),
            $step->class === CutClass::Straighten => sprintf('Take the factory edge off one long side of %s. It is what everything is measured from across.', $parts),
            $step->way === Way::Fence => sprintf('%s %s. Sawn edge against the fence; the strip between fence and blade is the piece.%s', $does, $parts, $this->given($step)),
            $step->way === Way::Sled, $step->way === Way::Stop => sprintf('Crosscut %s. Squared end against the stop.%s', $parts, $this->given($step)),
            $step->way === Way::GuideOnWaste => sprintf('%s %s. The guide lies on the waste; the blade runs on the waste side of the line.', $does, $parts),
            default => sprintf('%s %s. The guide lies on the piece; the blade runs on the far side of the line.%s', $does, $parts, $narrow === [] ? '' : ' Lay a board of the same thickness beside it, so that the guide lies steady.'),
        };
    }

    /** @return list<string> where they hold; the saw's own manual comes first */
    public function cautions(Step $step): array
    {
        $heaviest = max(array_map(fn (SawCut $cut) => $cut->takes->kg, $step->cuts));
        $rests = array_filter(array_map(fn (SawCut $cut) => $cut->leaves === null ? null : ($cut->axis === Axis::X ? $cut->leaves->x : $cut->leaves->y), $step->cuts), fn (?int $rest) => $rest !== null && $rest < self::SLIVER);
        $isFence = $step->way === Way::Fence;

        return array_values(array_filter([
            $heaviest > self::HEAVY && $step->class !== CutClass::Yard ? sprintf('The heaviest part is %.0f kg: a second pair of hands, or rollers.', $heaviest) : null,
            $step->class === CutClass::Breakdown || $step->class === CutClass::Straighten && ! $isFence ? 'Support both parts, so that neither drops.' : null,
            $isFence && ($step->size ?? PHP_INT_MAX) < self::PUSH_STICK ? 'Push stick: the piece is narrow.' : null,
            $isFence && $step->cuts[0]->axis === Axis::X ? 'Never crosscut against a fixed stop behind the blade: use a stop block ahead of it.' : null,
            $isFence && $rests !== [] ? 'A narrow rest stays by the blade: do not reach for it before the blade stands.' : null,
            $step->way === Way::Stop && ($step->size ?? PHP_INT_MAX) <= self::PUSH_STICK ? 'Clamp it: it is too short to be held by hand.' : null,
        ]));
    }

    /** How long it takes, minutes: setting and cutting, a clamping of the guide, more for heavy parts. */
    public function minutes(Step $step): float
    {
        $many = count($step->cuts);
        $heavy = 2.0 * count(array_filter($step->cuts, fn (SawCut $cut) => $cut->takes->kg > self::HEAVY));

        return $step->class === CutClass::Yard ? 0.0 : $heavy + match (true) {
            $step->class === CutClass::Straighten => 8.0 * $many / 2,
            $step->way->tool() === ToolKind::GuidedSaw => 7.0 * $step->clampings,
            $step->way->tool() === ToolKind::MitreSaw => 3.0 + $many,
            default => 3.0 + 1.5 * $many,
        };
    }
}
