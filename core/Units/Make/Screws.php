<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * Which screws a joint takes, and how many: their length by the two thicknesses that meet, as many as it marks (face to face
 * never longer than both boards less 3 mm; through a face into an edge the shortest that holds there by 25 mm or an inch;
 * pocket screws by the thinner board; into a stud 25 to 32 mm past nailer and wallboard: handbook, "Strength").
 */
final readonly class Screws
{
    private const PINS_PER_END = 2;

    /** What must be left of both boards face to face, mm; and hold in a stud behind a wall's board. */
    private const LEFT = 3.0;

    private const IN_STUD = 32.0;

    private const WALLBOARD = 12.5;

    /** From stud to stud where nobody looked for them, mm. */
    private const STUDS = 400.0;

    /** The longest pocket screw by the thinner of the two boards: up to so many mm, so many mm. */
    private const POCKET = [[17.0, 25.4], [22.0, 32.0], [30.0, 38.1], [INF, 64.0]];

    public function __construct(private Catalogue $materials, private LengthFormat $format)
    {
    }

    /**
     * What holds a joint, and what it is used for; nothing where it is glued, or held by what its unit buys.
     *
     * @param  Contact|null  $contact  where they meet, of two that stand square
     * @return list<Hardware>
     */
    public function of(Joint $joint, Placed $a, Placed $b, ?Contact $contact): array
    {
        [$ta, $tb] = [$a->piece->thickness->toDouble(), $b->piece->thickness->toDouble()];
        $isFaceToFace = abs($a->pose->thickness->dot($b->pose->thickness)) > 0.9;

        return match ($joint->kind) {
            JointKind::Pocket => [$this->screw(ArticleKind::PocketScrew, $this->longest(ArticleKind::PocketScrew, self::pocket(min($ta, $tb))), count(Marking::pockets(self::lines($a, $b, $contact)[0], $this->format->unit)), $joint->use)],
            JointKind::Screws => [$this->screw(ArticleKind::Screw, $isFaceToFace ? $this->longest(ArticleKind::Screw, $ta + $tb - self::LEFT) : $this->shortest(ArticleKind::Screw, $ta + ($this->format->unit->isMetric() ? 25.0 : 25.4)), $this->through($a, $b, $contact), $joint->use)],
            JointKind::Pins => [new Hardware('shelf pin', self::PINS_PER_END, $joint->use, ArticleKind::ShelfPin)],
            JointKind::Glue, JointKind::Nails, JointKind::Dado, JointKind::Hinge, JointKind::Slide => [],
        };
    }

    /** What fixes a cleat to the studs of a wall with a board on it, or as near as the wall's kind allows. */
    public function toWall(Piece $cleat, string $use): Hardware
    {
        return $this->intoStuds($cleat, count(Marking::pockets($cleat->length->result->toDouble(), $this->format->unit)), $use);
    }

    /** What fixes a batten, which carries little: one at each stud, and at its ends. */
    public function toStuds(Piece $batten, string $use): Hardware
    {
        return $this->intoStuds($batten, 1 + (int) ceil($batten->length->result->toDouble() / self::STUDS), $use);
    }

    private function intoStuds(Piece $piece, int $count, string $use): Hardware
    {
        return $this->screw(ArticleKind::StrongScrew, $this->longest(ArticleKind::StrongScrew, $piece->thickness->toDouble() + self::WALLBOARD + self::IN_STUD), $count, $use);
    }

    private function through(Placed $a, Placed $b, ?Contact $contact): int
    {
        [$long, $wide] = self::lines($a, $b, $contact);

        return count(Marking::screwPlaces($long, $this->format->unit)) * count(Marking::rows($wide, $this->format->unit));
    }

    /**
     * How far two pieces meet along the joint and across it, mm; of two that stand askew what is around them tells.
     *
     * @return array{float, float}
     */
    private static function lines(Placed $a, Placed $b, ?Contact $contact): array
    {
        if ($contact === null) {
            $shared = $a->bounds->overlap($b->bounds);
            sort($shared);

            return [max(0.0, $shared[2]), 0.0];
        }
        $line = $contact->isFaceOf($a) ? $contact->line() : $contact->beside(Pose::axis($a->pose->thickness));

        return [max(0.0, $contact->long($line)), max(0.0, $contact->long($contact->beside($line)))];
    }

    private static function pocket(float $thickness): float
    {
        foreach (self::POCKET as [$upTo, $most]) {
            if ($thickness <= $upTo) {
                return $most;
            }
        }

        return 0.0;
    }

    /** The longest that is sold and no longer than this; the shortest there is where all are. */
    private function longest(ArticleKind $kind, float $most): Length
    {
        $sold = $this->materials->lengths($kind, $this->format->unit);
        $longest = $sold[0];
        foreach ($sold as $length) {
            $longest = $length->toDouble() <= $most + 1e-6 ? $length : $longest;
        }

        return $longest;
    }

    /** The shortest that is sold and at least so long; the longest there is where none is. */
    private function shortest(ArticleKind $kind, float $least): Length
    {
        $sold = $this->materials->lengths($kind, $this->format->unit);
        foreach ($sold as $length) {
            if ($length->toDouble() >= $least - 1e-6) {
                return $length;
            }
        }

        return $sold[array_key_last($sold)];
    }

    private function screw(ArticleKind $kind, Length $length, int $quantity, string $use): Hardware
    {
        $isMetric = $this->format->unit->isMetric();
        $long = $isMetric ? (string) round($length->toDouble(), 1) : $this->format->write($length);
        $name = match ($kind) {
            ArticleKind::PocketScrew => 'pocket screw, '.$long.($isMetric ? ' mm' : ''),
            ArticleKind::StrongScrew => ($isMetric ? 'wood screw 5 × ' : 'wood screw no. 10 × ').$long,
            default => ($isMetric ? 'wood screw 4 × ' : 'wood screw no. 8 × ').$long,
        };

        return new Hardware($name, $quantity, $use, $kind, $length);
    }
}
