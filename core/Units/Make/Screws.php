<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Strength\Stack;
use Incastro\Strength\Studs;
use Incastro\Survey\Room\WallKind;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * Which screws a joint takes, and how many: their length by the two thicknesses that meet, as many as it marks (face to face
 * never longer than both boards less 3 mm; through a face into an edge the shortest that holds there by 25 mm or an inch;
 * pocket screws by the thinner board; into a stud 25 to 32 mm past nailer and wallboard: handbook, "Strength").
 */
final class Screws
{
    private const PINS_PER_END = 2;

    /** What must be left of both boards face to face, mm; and hold in a stud behind a wall's board. */
    private const LEFT = 3.0;

    private const IN_STUD = 32.0;

    private const WALLBOARD = 12.5;

    /** The longest pocket screw by the thinner of the two boards: up to so many mm, so many mm. */
    private const POCKET = [[17.0, 25.4], [22.0, 32.0], [30.0, 38.1], [INF, 64.0]];

    /** @var array<string, non-empty-list<Length>> lengths that the job can buy, by kind */
    private array $sold = [];

    /** @var array<string, Hardware> one of each, by kind, length and use */
    private array $one = [];

    public function __construct(private readonly Catalogue $materials, private readonly LengthFormat $format)
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
        return match ($joint->kind) {
            JointKind::Pocket => [$this->chosen($joint, $a, $b)->times(count(Marking::pockets(self::lines($a, $b, $contact)[0], $this->format->unit)))],
            JointKind::Screws, JointKind::Rabbet => [$this->chosen($joint, $a, $b)->times($this->through($a, $b, $contact))],
            JointKind::Pins => [new Hardware('shelf pin', $contact !== null && Marking::isStrip($contact) ? 1 : self::PINS_PER_END, $joint->use, ArticleKind::ShelfPin)],
            JointKind::Glue, JointKind::Nails, JointKind::Dado, JointKind::Hinge, JointKind::Butt, JointKind::Slide => [],
        };
    }

    /**
     * The screw of a joint that is screwed, and how far its point comes out, mm: more than nothing only where all that is sold
     * is too long.
     *
     * @return array{Hardware, float}
     */
    public function comesOut(Joint $joint, Placed $a, Placed $b): array
    {
        $screw = $this->chosen($joint, $a, $b);
        $long = $screw->length?->toDouble() ?? 0.0;
        [$ta, $tb] = self::thick($a, $b);

        return [$screw, match (true) {
            $joint->kind === JointKind::Pocket => $long - self::pocket(min($ta, $tb)),
            self::isFaceToFace($a, $b) => $long - $ta - $tb,
            default => 0.0,
        }];
    }

    private function chosen(Joint $joint, Placed $a, Placed $b): Hardware
    {
        [$ta, $tb] = self::thick($a, $b);

        return match (true) {
            $joint->kind === JointKind::Pocket => $this->screw(ArticleKind::PocketScrew, $this->longest(ArticleKind::PocketScrew, self::pocket(min($ta, $tb))), $joint->use),
            self::isFaceToFace($a, $b) => $this->screw(ArticleKind::Screw, $this->longest(ArticleKind::Screw, $ta + $tb - self::LEFT), $joint->use),
            default => $this->screw(ArticleKind::Screw, $this->shortest(ArticleKind::Screw, $ta + ($this->format->unit->isMetric() ? 25.0 : 25.4)), $joint->use),
        };
    }

    /** @return array{float, float} of two pieces, mm */
    private static function thick(Placed $a, Placed $b): array
    {
        return [$a->piece->thickness->toDouble(), $b->piece->thickness->toDouble()];
    }

    private static function isFaceToFace(Placed $a, Placed $b): bool
    {
        return abs($a->pose->thickness->dot($b->pose->thickness)) > 0.9;
    }

    /** What fixes a cleat to the studs of a wall with a board on it, or as near as the wall's kind allows. */
    public function toWall(Piece $cleat, string $use): Hardware
    {
        return $this->intoStuds($cleat, count(Marking::pockets($cleat->length->result->toDouble(), $this->format->unit)), $use);
    }

    /** What fixes a batten, which carries little: one at each stud, and at its ends. */
    public function toStuds(Piece $batten, string $use): Hardware
    {
        return $this->intoStuds($batten, 1 + (int) ceil($batten->length->result->toDouble() / Studs::APART), $use);
    }

    /** What holds a cleat behind a back to the strip before it: as long as all three are thick, less what must be left. */
    public function throughBack(Piece $cleat, float $thick, string $use): Hardware
    {
        return $this->screw(ArticleKind::Screw, $this->longest(ArticleKind::Screw, $thick - self::LEFT), $use)->times(count(Marking::screwPlaces($cleat->length->result->toDouble(), $this->format->unit)));
    }

    /** So many that go through what is so thick before a wall's board, into studs. */
    public function toStudsPast(float $before, int $count, string $use): Hardware
    {
        return $this->screw(ArticleKind::StrongScrew, $this->longest(ArticleKind::StrongScrew, $before + self::WALLBOARD + self::IN_STUD), $use)->times($count);
    }

    /**
     * So many in plugs in masonry, past what is so thick and, where the wall has one, its board.
     *
     * @return list<Hardware>
     */
    public function plugged(float $before, int $count, WallKind $wall, string $use): array
    {
        $hold = Stack::into($wall, $before + ($wall === WallKind::Dabs ? self::WALLBOARD : 0.0), $this->format->unit);

        return [
            $this->screw(ArticleKind::StrongScrew, $this->longest(ArticleKind::StrongScrew, $hold->most ?? $before + self::IN_STUD), $use)->times($count),
            new Hardware('wall plug', $count, $use, ArticleKind::WallPlug),
        ];
    }

    /** So many that hold a board so thick on timbers behind it. */
    public function toTimber(float $thick, int $count, string $use): Hardware
    {
        return $this->screw(ArticleKind::Screw, $this->shortest(ArticleKind::Screw, $thick + 25.0), $use)->times($count);
    }

    /** The same for what carries people or a heavy box. */
    public function structuralPast(float $before, int $count, string $use): Hardware
    {
        return $this->screw(ArticleKind::StructuralScrew, $this->longest(ArticleKind::StructuralScrew, $before + self::WALLBOARD + self::IN_STUD), $use)->times($count);
    }

    private function intoStuds(Piece $piece, int $count, string $use): Hardware
    {
        return $this->toStudsPast($piece->thickness->toDouble(), $count, $use);
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
        $sold = $this->sold[$kind->value] ??= $this->materials->lengths($kind, $this->format->unit);
        $longest = $sold[0];
        foreach ($sold as $length) {
            $longest = $length->toDouble() <= $most + 1e-6 ? $length : $longest;
        }

        return $longest;
    }

    /** The shortest that is sold and at least so long; the longest there is where none is. */
    private function shortest(ArticleKind $kind, float $least): Length
    {
        $sold = $this->sold[$kind->value] ??= $this->materials->lengths($kind, $this->format->unit);
        foreach ($sold as $length) {
            if ($length->toDouble() >= $least - 1e-6) {
                return $length;
            }
        }

        return $sold[array_key_last($sold)];
    }

    private function screw(ArticleKind $kind, Length $length, string $use): Hardware
    {
        return $this->one[$kind->value.$length->nanometres().$use] ??= new Hardware($this->name($kind, $length), 1, $use, $kind, $length);
    }

    private function name(ArticleKind $kind, Length $length): string
    {
        $isMetric = $this->format->unit->isMetric();
        $long = $isMetric ? (string) round($length->toDouble(), 1) : $this->format->write($length);

        return match ($kind) {
            ArticleKind::PocketScrew => 'pocket screw, '.$long.($isMetric ? ' mm' : ''),
            ArticleKind::StrongScrew => ($isMetric ? 'wood screw 5 × ' : 'wood screw no. 10 × ').$long,
            ArticleKind::StructuralScrew => ($isMetric ? 'structural screw 6 × ' : 'structural screw 1/4 × ').$long,
            default => ($isMetric ? 'wood screw 4 × ' : 'wood screw no. 8 × ').$long,
        };
    }
}
