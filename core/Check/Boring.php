<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Terms;
use Incastro\Geometry\Point;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Screws;
use Incastro\Units\Placed;

/**
 * Whether what joints mark on the pieces can be bored: no two holes of different joints in one place, no screw through a
 * groove, none whose point comes out, none at an edge that it would split. Told once for each piece, by its worst place.
 */
final readonly class Boring
{
    /** Holes this near to each other are bored in one place, mm. */
    private const MEET = 0.5;

    /** A hole nearer to an edge than this, from its middle, splits it, mm. */
    private const EDGE = 8.0;

    private Screws $screws;

    public function __construct(private Terms $terms)
    {
        $this->screws = new Screws($terms->materials, $terms->format);
    }

    /** @return list<Finding> of an assembly whose pieces are marked */
    public function findings(Assembly $made): array
    {
        $findings = $this->comingOut($made);
        foreach ($made->placed as $placed) {
            $worst = $this->crossing($placed->piece);
            if ($worst !== null) {
                [$apart, $one, $other] = $worst;
                $how = $apart < self::MEET ? 'meet' : sprintf('lie %s apart', $this->terms->write($apart));
                $findings[] = Finding::clash(Code::MarksCross, sprintf('On %s the %s for %s and the %s for %s %s.', $placed->piece->mark, $one->kind->label(1), $one->partner, $other->kind->label(1), $other->partner, $how), $placed->owner)
                    ->withWaysOut($this->otherJoints());
            }
            $edge = $this->atEdge($placed);
            if ($edge !== null) {
                $findings[] = $edge;
            }
        }

        return $findings;
    }

    /** @return list<WayOut> */
    private function otherJoints(): array
    {
        $others = array_filter(BoxJoint::cases(), fn (BoxJoint $joint) => $joint !== $this->terms->rules->schools->boxJoint);

        return array_map(fn (BoxJoint $joint) => WayOut::ofJob('Join boxes another way: '.lcfirst($joint->label()), Edits::school('box_joint', $joint->value)), array_values($others));
    }

    /** @return list<Finding> once for each length of screw that is too long */
    private function comingOut(Assembly $made): array
    {
        $byKey = $made->byKey();
        $findings = [];
        foreach ($made->joints as $joint) {
            [$a, $b] = [$byKey[$joint->a] ?? null, $byKey[$joint->b] ?? null];
            if ($a === null || $b === null || ! in_array($joint->kind, [JointKind::Pocket, JointKind::Screws], true)) {
                continue;
            }
            [$screw, $out] = $this->screws->comesOut($joint, $a, $b);
            if ($out > 0.0) {
                $findings[$screw->name] ??= Finding::clash(Code::ScrewComesOut, sprintf('The shortest that the job can buy, %s, comes out by %s where %s meets %s. Give the job a shorter one among its hardware.', $screw->name, $this->terms->write($out), $a->piece->mark, $b->piece->mark), $a->owner);
            }
        }

        return array_values($findings);
    }

    /** @return array{float, Mark, Mark}|null the two marks of different joints that are worst, and how far apart they lie, mm */
    private function crossing(Piece $piece): ?array
    {
        /** @var list<array{Point, Mark}> $holes */
        $holes = $bands = [];
        foreach ($piece->marks as $mark) {
            if (in_array($mark->kind, [MarkKind::Dado, MarkKind::Groove, MarkKind::Rabbet], true)) {
                $bands[] = $mark;
            } elseif ($mark->kind->isHole() && $mark->kind !== MarkKind::Pilot) {
                foreach ($mark->at as $point) {
                    $holes[] = [$point, $mark];
                }
            }
        }
        usort($holes, fn (array $a, array $b) => $a[0]->x <=> $b[0]->x);
        $worst = null;
        $widest = max([0.0, ...array_map(fn (array $hole) => $hole[1]->across, $holes)]);
        foreach ($holes as $i => [$point, $mark]) {
            for ($k = $i + 1; isset($holes[$k]) && $holes[$k][0]->x - $point->x < $mark->apart($widest); $k++) {
                [$next, $other] = $holes[$k];
                if ($other->partner === $mark->partner || $mark->passes($other, $piece->thickness->toDouble())) {
                    continue;
                }
                $apart = hypot($next->x - $point->x, $next->y - $point->y);
                if ($apart < $mark->apart($other->across) - 1e-6 && ($worst === null || $apart < $worst[0])) {
                    $worst = [$apart, $mark, $other];
                }
            }
            foreach ($mark->kind === MarkKind::Screw ? $bands : [] as $band) {
                if ($band->partner !== $mark->partner && $band->isIn($point)) {
                    $worst = [0.0, $mark, $band];
                }
            }
        }

        return $worst;
    }

    private function atEdge(Placed $placed): ?Finding
    {
        [$x0, $x1, $y0, $y1] = $placed->piece->outline->bounds();
        foreach ($placed->piece->marks as $mark) {
            if ($mark->kind !== MarkKind::Screw && $mark->kind !== MarkKind::PinRow) {
                continue;
            }
            foreach ($mark->at as $point) {
                $least = min($point->x - $x0, $x1 - $point->x, $point->y - $y0, $y1 - $point->y);
                if ($least < self::EDGE - 1e-6 && $least < $placed->piece->thickness->toDouble() / 2 - 1e-6) {
                    return Finding::warning(Code::HoleAtEdge, sprintf('A %s for %s lies %s from an edge of %s and may split it. Bore it first, and clamp the edge.', $mark->kind->label(1), $mark->partner, $this->terms->write(max(0.0, $least)), $placed->piece->mark), $placed->owner);
                }
            }
        }

        return null;
    }
}
