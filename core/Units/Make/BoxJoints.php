<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;

/**
 * How the boards of a box meet, by the job's school. A dado is a third of the board deep, no more than 6 mm or 1/4 in; in a
 * box with dividers so that two from both sides leave 8 mm between them.
 */
final readonly class BoxJoints
{
    /** Left between two dadoes at one height in a divider, mm. */
    private const BETWEEN = 8.0;

    /** @param bool $isDivided whether boards meet others from both sides */
    public function __construct(private Terms $terms, private bool $isDivided = false)
    {
    }

    public static function of(Terms $terms, Box $box): self
    {
        return new self($terms, count($box->columns) > 1);
    }

    /** How deep a board stands in each of those beside it. */
    public function deep(): Length
    {
        if ($this->terms->rules->schools->boxJoint !== BoxJoint::Dado) {
            return Length::zero();
        }
        $t = $this->terms->board();
        $most = min($t / 3, $this->terms->rules->unit === Unit::Inch ? 6.35 : 6.0, $this->isDivided ? ($t - self::BETWEEN) / 2 : INF);

        return Length::ofDouble($most)->roundedDown($this->terms->format->fine()->step);
    }

    /** Length of a board between two others. */
    public function between(Working $clear): Working
    {
        return $this->deep()->isZero() ? $clear : $clear->plusTimes('into both dadoes', 2, $this->deep());
    }

    /** A board that ends at the face of an upright one. */
    public function joint(string $board, string $upright, string $use): Joint
    {
        return match ($this->terms->rules->schools->boxJoint) {
            BoxJoint::Pocket => new Joint($board, $upright, JointKind::Pocket, $use),
            BoxJoint::Screws => new Joint($upright, $board, JointKind::Screws, $use),
            BoxJoint::Dado => new Joint($board, $upright, JointKind::Dado, $use, $this->deep()->toDouble()),
        };
    }

    /** The same where none is let in: a nailer, and a top that stands askew. */
    public function butt(string $board, string $upright, string $use): Joint
    {
        return $this->terms->rules->schools->boxJoint === BoxJoint::Pocket
            ? new Joint($board, $upright, JointKind::Pocket, $use)
            : new Joint($upright, $board, JointKind::Screws, $use);
    }

    /** As it is told of a board between two others. */
    public function words(): string
    {
        return $this->terms->rules->schools->boxJoint->words();
    }

    public function buttWords(): string
    {
        return ($this->terms->rules->schools->boxJoint === BoxJoint::Pocket ? BoxJoint::Pocket : BoxJoint::Screws)->words();
    }

    /** Two parts of the face, edge to edge: glued, and held by pocket screws where those are used at all. */
    public static function inFace(Terms $terms, string $part, string $other, string $use): Joint
    {
        return new Joint($part, $other, $terms->rules->schools->boxJoint === BoxJoint::Pocket ? JointKind::Pocket : JointKind::Glue, $use);
    }

    /** @param string $partners "into the stiles", or "from the rails" */
    public static function inFaceWords(Terms $terms, string $partners): string
    {
        return $terms->rules->schools->boxJoint === BoxJoint::Pocket ? "pocket screws $partners" : 'glued edge to edge';
    }
}
