<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A hollow beam or a deep shelf on a hidden cleat: front, top, foot and ends, mitred along their edges or butted behind the front. Its
 * cleat takes n ≥ 500 N · ⅔·D / (0.6·h) / 700 N studs, two at least: somebody leans on its front edge.
 */
#[About('mantel', 'Mantel', 'A hollow beam on a hidden cleat, over a fire or anywhere on a wall.', 'On a wall', 'M')]
final readonly class Mantel implements SurfaceUnit, AsksOfRoom
{
    /** Somebody leans on it with so much, and two screws at a stud hold so much, N. */
    private const LEANS = 500.0;

    private const HOLDS = 700.0;

    /** The cleat is so thick and that much shorter and lower than the hollow, mm and inches. */
    private const END = [5.0, 3 / 16];

    private const PLAY = [1.0, 1 / 32];

    /** Screws down into the cleat, and up, no farther apart; mm and inches. */
    private const APART = [300.0, 12.0];

    /** Scarfs of its boards lie so far from each other, mm and inches. */
    private const STAGGER = [300.0, 12.0];

    public function __construct(
        #[Size('Length', ['1500', '60'], 300, 3600)] public Length $length,
        #[Size('Height', ['120', '5'], 80, 300)] public Length $height,
        #[Size('Depth', ['180', '7 1/2'], 80, 300)] public Length $depth,
        #[Toggle('Mitred along its edges', true, 'Else the front covers the others, whose edges are banded.')] public bool $mitred,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Walls;
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        return new SurfaceDemand(Extent::between($rules->either(300, 12), $this->length, 'a mantel needs %s'), Extent::between($this->height, $this->height, 'it is %s high'), $this->depth);
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->for(Purpose::Front)->thickness;
        $long = $site->place->width->roundedDown($terms->format);
        $boards = $this->mitred ? $this->mitred($site, $long, $t) : $this->butted($site, $long, $t);
        $cleats = $this->cleats($site, $long, $t);
        $joints = [];
        foreach ($boards as $i => $one) {
            foreach (array_slice($boards, $i + 1) as $other) {
                if ($one->touches($other, Joinery::TOUCH)) {
                    $joints[] = new Joint($one->piece->key, $other->piece->key, JointKind::Glue, 'mantels');
                }
            }
        }
        $screws = new Screws($terms->materials, $terms->format);
        $across = 1 + (int) ceil($long->result->toDouble() / $terms->rules->either(...self::APART)->toDouble());

        return new Assembly([...$boards, ...$cleats], $joints, [
            ...array_merge(...array_map(fn (Placed $cleat): array => $this->screwed($site, $cleat), $cleats)),
            $screws->toTimber($t->toDouble(), 2 * $across, 'mantels to their cleats, plugged'),
        ], [], [...$this->heat($site), ...$this->held($site, $cleats)]);
    }

    /**
     * Five boards whose edges meet in mitres, long points outside.
     *
     * @return non-empty-list<Placed>
     */
    private function mitred(SurfaceSite $site, Working $long, Length $thick): array
    {
        [$l, $h, $d] = [$long->result->toDouble(), $this->height->toDouble(), $this->depth->toDouble()];
        $high = Working::start('height of the mantel', $this->height);
        $deep = Working::start('depth of the mantel', $this->depth);
        $t = $thick->toDouble();
        $how = 'mitres taped and glued; the grain runs on round the corners';
        $ends = fn (string $role): Piece => $site->make->inner($role, 'Mantel end', $deep, $high, Purpose::Front, Grain::Length, [new Bevelled('front, head and foot', M_PI / 4, bevels: $this->endBevels($d, $h))], [$how]);
        $placed = [];
        // Their outer faces look out, up and down: a bevel cuts the face that lies inside.
        foreach ([
            ['front', 'Mantel front', $high, true, 0.0, fn (Piece $piece, float $x): Placed => $site->placedTo($piece, $x, $d, 0.0, Way::Right, Way::Up, Way::In, Part::Face)],
            ['top', 'Mantel top', $deep, false, 1.0, fn (Piece $piece, float $x): Placed => $site->placedTo($piece, $x, 0.0, $h, Way::Right, Way::Out, Way::Down, Part::Face)],
            ['bottom', 'Mantel foot', $deep, false, -1.0, fn (Piece $piece, float $x): Placed => $site->placedTo($piece, $x, 0.0, 0.0, Way::Right, Way::Out, Way::Up, Part::Face)],
        ] as [$role, $name, $width, $isFront, $aside, $place]) {
            $w = $width->result->toDouble();
            foreach ($this->segments($site, $long, $t, $aside) as $i => [$from, $length, $isFirst, $isLast]) {
                $s = $length->result->toDouble();
                $bevels = [
                    self::edge(new Point(0.0, $w), new Point($s, $w)),
                    ...$isFront ? [self::edge(new Point($s, 0.0), new Point(0.0, 0.0))] : [],
                    // Where two parts meet, the one is longer inside and the other outside.
                    self::edge(new Point(0.0, 0.0), new Point(0.0, $w)),
                    $isLast ? self::edge(new Point($s, $w), new Point($s, 0.0)) : new Bevel([new Point($s, $w), new Point($s, 0.0)], 1.0, false),
                ];
                $works = [new Bevelled($isFront ? 'all four' : 'front and ends', M_PI / 4, bevels: $bevels), ...$isFront ? [] : [new Finished('back, long', Finish::TouchesHouse)]];
                $piece = $site->make->inner($isFirst && $isLast ? $role : $role.'-'.($i + 1), $name, $length, $width, Purpose::Front, Grain::Length, $works, $isFirst && $isLast ? [$how] : [$how, 'scarfed at 45° over the cleat']);
                $placed[] = $place($piece, $from);
            }
        }

        return [...$placed, $site->placedTo($ends('end-L'), 0.0, 0.0, 0.0, Way::Out, Way::Up, Way::Right, Part::Face), $site->placedTo($ends('end-R'), $l, 0.0, 0.0, Way::Out, Way::Up, Way::Left, Part::Face)];
    }

    /**
     * One board, or two where it is longer than a piece is made: scarfed beside its middle, each board elsewhere.
     *
     * @param  float  $aside  to which side of the middle, in steps
     * @return non-empty-list<array{float, Working, bool, bool}> where each begins, its length, and whether it is the first and the last
     */
    private function segments(SurfaceSite $site, Working $long, float $thick, float $aside): array
    {
        if ($long->result->toDouble() <= $site->terms->rule(Rule::LongestPiece)) {
            return [[0.0, $long, true, true]];
        }
        $at = Length::ofDouble($long->result->toDouble() / 2 + $aside * $site->terms->rules->either(...self::STAGGER)->toDouble())->roundedDown($site->terms->format->step);
        $scarf = Length::ofDouble($thick);

        return [
            [0.0, $scarf->isZero() ? Working::start('to the joint', $at) : Working::start('to the scarf', $at)->plus('under the other part', $scarf)->roundedDown($site->terms->format), true, false],
            [$at->toDouble(), $long->minus('to the joint', $at), false, true],
        ];
    }

    /** @return list<Bevel> of an end so deep and high: its front, its foot and its head */
    private function endBevels(float $deep, float $high): array
    {
        return [self::edge(new Point($deep, $high), new Point($deep, 0.0)), self::edge(new Point($deep, 0.0), new Point(0.0, 0.0)), self::edge(new Point(0.0, $high), new Point($deep, $high))];
    }

    private static function edge(Point $from, Point $to): Bevel
    {
        return new Bevel([$from, $to], 1.0, true);
    }

    /**
     * The front covers top and foot, and these the ends.
     *
     * @return non-empty-list<Placed>
     */
    private function butted(SurfaceSite $site, Working $long, Length $thick): array
    {
        [$l, $h, $d, $t] = [$long->result->toDouble(), $this->height->toDouble(), $this->depth->toDouble(), $thick->toDouble()];
        $high = Working::start('height of the mantel', $this->height);
        $deep = Working::start('depth of the mantel', $this->depth)->minus('front', $thick);
        $make = fn (string $role, string $name, Working $length, Working $width, string $banded, string $how): Piece => $site->make->inner($role, $name, $length, $width, Purpose::Front, Grain::Length, [new Finished($banded, Finish::Banded)], [$how]);
        $w = $deep->roundedDown($site->terms->format)->result->toDouble();
        $y = $d - $t - $w;
        $up = $high->minusTimes('top and foot', 2, $thick);

        $level = [];
        foreach ([
            ['front', 'Mantel front', $high, 'all four', 'covers the others', 0.0, fn (Piece $piece, float $x): Placed => $site->placed($piece, $x, $d - $t, 0.0, Way::Right, Way::Up, Part::Face)],
            ['top', 'Mantel top', $deep, 'both, short', 'glued behind the front', 1.0, fn (Piece $piece, float $x): Placed => $site->placedTo($piece, $x, $y, $h - $t, Way::Right, Way::Out, Way::Up, Part::Face)],
            ['bottom', 'Mantel foot', $deep, 'both, short', 'glued behind the front', -1.0, fn (Piece $piece, float $x): Placed => $site->placedTo($piece, $x, $y, 0.0, Way::Right, Way::Out, Way::Up, Part::Face)],
        ] as [$role, $name, $width, $banded, $how, $aside, $place]) {
            foreach ($this->segments($site, $long, 0.0, $aside) as $i => [$from, $length, $isFirst, $isLast]) {
                $level[] = $place($make($isFirst && $isLast ? $role : $role.'-'.($i + 1), $name, $length, $width, $banded, $isFirst && $isLast ? $how : $how.'; butted to its other part over the cleat'), $from);
            }
        }

        return [
            ...$level,
            $site->placedTo($make('end-L', 'Mantel end', $deep, $up, 'none', 'between top and foot'), 0.0, $y, $t, Way::Out, Way::Up, Way::Right, Part::Face),
            $site->placedTo($make('end-R', 'Mantel end', $deep, $up, 'none', 'between top and foot'), $l - $t, $y, $t, Way::Out, Way::Up, Way::Right, Part::Face),
        ];
    }

    /** @return non-empty-list<Placed> in two where one is longer than it is made */
    private function cleats(SurfaceSite $site, Working $long, Length $thick): array
    {
        $rules = $site->terms->rules;
        $length = $long->minusTimes('both ends', 2, $thick)->minusTimes('play at both ends', 2, $rules->either(...self::END));
        $wide = Working::start('height of the mantel', $this->height)->minusTimes('top and foot', 2, $thick)->minus('play', $rules->either(...self::PLAY));
        $timber = $site->terms->materials->for(Purpose::Rail);
        $wide = $timber instanceof Lineal ? $wide->atMost('width of the timber', $timber->width) : $wide;
        $parts = $length->result->toDouble() > $rules->mm(Rule::LongestPiece) ? 2 : 1;
        $each = $parts === 1 ? $length : $length->dividedBy('in two', $parts);
        $x = ($long->result->toDouble() - $length->roundedDown($site->terms->format)->result->toDouble()) / 2;
        $cleats = [];
        foreach (range(1, $parts) as $i) {
            $cleat = $site->make->inner($parts === 1 ? 'cleat' : "cleat-$i", 'Wall cleat', $each, $wide, Purpose::Rail, Grain::Length, [], ['two screws at every stud, level; the beam is slid on from the front and screwed down and up into it, plugged']);
            $cleats[] = $site->placed($cleat, $x + ($i - 1) * $cleat->length->result->toDouble(), 0.0, ($this->height->toDouble() - $cleat->width->result->toDouble()) / 2, Way::Right, Way::Up, Part::Cleat);
        }

        return $cleats;
    }

    /** @return list<Hardware> what holds the cleat: two at each stud, or plugs in masonry as many and no farther apart */
    private function screwed(SurfaceSite $site, Placed $cleat): array
    {
        $screws = new Screws($site->terms->materials, $site->terms->format);
        $masonry = $site->masonry();
        if ($masonry !== null) {
            return $screws->plugged($cleat->piece->thickness->toDouble(), 2 * max($this->studs($cleat), $site->plugs($cleat->piece->length->result)), $masonry, 'cleats of mantels');
        }

        return [$screws->toStuds($cleat->piece, 'cleats of mantels')->times(2 * max(2, $this->studs($cleat), count($this->behind($site, $cleat))))];
    }

    /** How many studs it takes at least. */
    private function studs(Placed $cleat): int
    {
        return max(2, (int) ceil(self::LEANS * 2 / 3 * $this->depth->toDouble() / (0.6 * $cleat->piece->width->result->toDouble()) / self::HOLDS - 1e-9));
    }

    /** @return list<Block> the noted studs behind the cleat */
    private function behind(SurfaceSite $site, Placed $cleat): array
    {
        return array_values(array_filter($site->studs(), fn (Block $stud) => $stud->u1 > $cleat->bounds->u0 && $stud->u0 < $cleat->bounds->u1));
    }

    /**
     * Whether enough holds it; on a wall that was framed for it its own timbers do.
     *
     * @param  non-empty-list<Placed>  $cleats
     * @return list<Finding>
     */
    private function held(SurfaceSite $site, array $cleats): array
    {
        $id = $site->place->surface->id;
        $behind = count(array_merge(...array_map(fn (Placed $cleat): array => $this->behind($site, $cleat), $cleats)));
        $needed = $this->studs($cleats[0]);

        return match (true) {
            $site->place->host !== null => [Finding::note(Code::NoStud, sprintf('Put a timber into the frame of %s behind the cleat of %s.', $site->place->host->mark, $site->place->mark), $id)],
            $site->masonry() !== null => [],
            $site->studs() === [] => [Finding::note(Code::NoStud, sprintf('Find the studs first and note them: the cleat of %s is screwed to %d at least.', $site->place->mark, $needed), $id)],
            $behind >= $needed => [],
            default => [Finding::clash(Code::TooFewStuds, sprintf('%s behind the cleat of %s, and it hangs on %d.', $behind === 1 ? 'Only one stud is' : sprintf('%d studs are', $behind), $site->place->mark, $needed), $id)->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($id))])],
        };
    }

    /** @return list<Finding> whether it hangs too low over a fire in what it lies on */
    private function heat(SurfaceSite $site): array
    {
        $host = $site->place->host;
        $least = $host?->surface->holds instanceof FeatureWall ? $host->surface->holds->woodOver($site->terms->rules, $site->terms->materials) : null;
        if ($host === null || $least === null) {
            return [];
        }
        $foot = Length::ofDouble($host->z)->plus($least)->roundedUp($site->terms->format->step);
        $short = $foot->toDouble() - $site->place->z;
        $id = $site->place->surface->id;

        return $short <= 1e-6 ? [] : [Finding::clash(Code::MantelHeat, sprintf('%s hangs %s too low over the fire, whose sheet keeps that clear.', $site->place->mark, $site->terms->write($short)), $id)
            ->withWaysOut([new WayOut('Its foot '.$site->terms->format->write($foot).' over the floor', Edits::surface($id)->measuring('on.foot', $foot)), new WayOut('Take it away', Edits::withoutSurface($id))])];
    }
}
