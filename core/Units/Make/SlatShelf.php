<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Cells\SlatShelves;
use Incastro\Units\CylinderSides;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * One shelf of slats: n = ⌈(d + gap)/(slat + gap)⌉ of them on cleats at both ends; beside a cylinder those that would come too near stop
 * at bearers, which lie on cleats at the wall behind and hang from the slats before it, or on posts.
 */
final readonly class SlatShelf
{
    /** A shorter bit of a slat is left out, mm. */
    private const SHORTEST = 100.0;

    private float $kt;

    private float $kw;

    /** @param float $deep from the first slat to the last, mm */
    public function __construct(private CellSite $site, private SlatShelves $of, private float $left, private float $right, private float $z, private float $deep, private int $number)
    {
        $this->kt = $site->terms->materials->for(Purpose::Framing)->thickness->toDouble();
        $this->kw = $of->cleat->toDouble();
    }

    /**
     * @param  Block|null  $cylinder  what it goes round
     * @param  list<float>  $bearers  left sides of bearers under it
     */
    public function build(?Block $cylinder, array $bearers): Assembly
    {
        $air = $this->of->air->toDouble();
        [$from, $to] = $cylinder === null ? [INF, -INF] : [max($this->left, $cylinder->u0 - $air), min($this->right, $cylinder->u1 + $air)];
        $slats = $this->slats($cylinder, $from, $to);
        $bearers = array_map(fn (float $u, int $i) => $this->stick('bearer-'.($i + 1), $cylinder === null ? 'Middle bearer' : 'Inner bearer', Working::start('depth of the slats and the air behind', Length::ofDouble($this->deep + $this->of->behind->toDouble())), $u, $this->site->cell->back, $this->z - $this->kw, 'on the back cleat; in front it hangs from the slats, or is screwed to its post'), $bearers, array_keys($bearers));
        $cleats = [...$this->ends($cylinder !== null), ...$this->backs($cylinder === null ? null : [$from, $to])];
        $carries = [...$cleats, ...$bearers];
        $joints = [];
        foreach ($slats as $slat) {
            foreach (array_filter($carries, fn (Placed $one) => $one->touches($slat, 0.5)) as $one) {
                $joints[] = new Joint($slat->piece->key, $one->piece->key, JointKind::Nails, 'slats');
            }
        }
        foreach ($bearers as $bearer) {
            foreach (array_filter([...$cleats, ...$bearers], fn (Placed $one) => $one !== $bearer && $one->touches($bearer, 0.5)) as $one) {
                $joints[] = new Joint($bearer->piece->key, $one->piece->key, JointKind::Nails, 'slats');
            }
        }
        $screws = new Screws($this->site->terms->materials, $this->site->terms->format);
        $supports = array_filter($carries, fn (Placed $one) => str_contains($one->piece->key, 'cleat-'));

        return new Assembly([...$slats, ...$cleats, ...$bearers], $joints, [
            ...array_map(fn (Placed $one) => $screws->toStuds($one->piece, 'cleats of slats'), array_values($supports)),
            $screws->toTimber($this->site->terms->materials->for(Purpose::Slat)->thickness->toDouble(), count($joints), 'slats, from above, so that each lifts off'),
        ]);
    }

    /** @return list<Placed> from the wall out, whole where they are clear of the cylinder */
    private function slats(?Block $cylinder, float $from, float $to): array
    {
        $of = $this->of;
        [$sw, $gs] = [$of->slat->toDouble(), $of->gap->toDouble()];
        $n = max(2, (int) ceil(($this->deep + $gs) / ($sw + $gs) - 1e-9));
        $gap = ($this->deep - $n * $sw) / ($n - 1);
        $air = $of->air->toDouble();
        $wide = Working::start('width of a slat', $of->slat);
        $all = Working::start('clear width', Length::ofDouble($this->right - $this->left));
        $placed = [];
        $put = function (string $role, string $name, Working $length, float $u, float $v) use (&$placed, $wide): void {
            $piece = $this->site->make->inner("slat-{$this->number}-$role", $name, $length, $wide, Purpose::Slat, Grain::Length, [new Finished('all four', Finish::Eased)], ['one screw from above into each cleat and bearer: it lifts off']);
            $placed[] = new Placed($piece, Pose::at($u, $v, $this->z, Way::Right, Way::Out, Way::Up), Part::Loose, $this->site->owner());
        };
        for ($j = 0; $j < $n; $j++) {
            $v = $this->site->cell->back + $of->behind->toDouble() + $j * ($sw + max(0.0, $gap));
            if ($gap < 0.0 && $j === $n - 1) {
                break;
            }
            $isClear = $cylinder === null || ($of->sides === CylinderSides::Both && ($v >= $cylinder->v1 + $air || $v + $sw <= $cylinder->v0 - $air));
            if ($isClear) {
                $put((string) ($j + 1), 'Slat', $all->minusTimes('play at both ends', 2, $of->play), $this->left + $of->play->toDouble(), $v);

                continue;
            }
            $left = Working::start('to the air of the cylinder', Length::ofDouble(max(0.0, $from - $this->left)))->minus('play', $of->play);
            $right = Working::start('from the air of the cylinder on', Length::ofDouble(max(0.0, $this->right - $to)))->minus('play', $of->play);
            if ($of->sides !== CylinderSides::Right && $left->result->toDouble() >= self::SHORTEST) {
                $put(($j + 1).'-L', 'Slat, left of the cylinder', $left, $this->left + $of->play->toDouble(), $v);
            }
            if ($of->sides !== CylinderSides::Left && $right->result->toDouble() >= self::SHORTEST) {
                $put(($j + 1).'-R', 'Slat, right of the cylinder', $right, $to, $v);
            }
        }

        return $placed;
    }

    /** @return list<Placed> cleats along the walls at both ends, in front of those behind */
    private function ends(bool $isBeside): array
    {
        $length = Working::start('depth of the slats and the air behind', Length::ofDouble($this->deep + $this->of->behind->toDouble()))->minus('cleat behind', Length::ofDouble($this->kt));

        return [
            ...$isBeside && $this->of->sides === CylinderSides::Right ? [] : [$this->stick('cleat-L', 'Side cleat', $length, $this->left, $this->site->cell->back + $this->kt, $this->z - $this->kw, 'to studs or masonry, level')],
            ...$isBeside && $this->of->sides === CylinderSides::Left ? [] : [$this->stick('cleat-R', 'Side cleat', $length, $this->right - $this->kt, $this->site->cell->back + $this->kt, $this->z - $this->kw, 'to studs or masonry, level')],
        ];
    }

    /**
     * Cleats along the wall behind, under what lies out from it.
     *
     * @param  array{float, float}|null  $round  from and to of the cylinder and its air
     * @return list<Placed>
     */
    private function backs(?array $round): array
    {
        $level = function (string $role, string $name, float $from, float $to): array {
            if ($to - $from < self::SHORTEST) {
                return [];
            }
            $piece = $this->site->make->inner("$role-{$this->number}", $name, Working::start('along the wall behind', Length::ofDouble($to - $from)), Working::start('width of the cleat', $this->of->cleat), Purpose::Framing, Grain::Length, [], ['to studs, level']);

            return [new Placed($piece, Pose::at($from, $this->site->cell->back, $this->z - 2 * $this->kw, Way::Right, Way::Up, Way::Out), Part::Cleat, $this->site->owner())];
        };

        return $round === null
            ? $level('cleat-back', 'Back cleat', $this->left + $this->of->play->toDouble(), $this->right - $this->of->play->toDouble())
            : [...$this->of->sides === CylinderSides::Right ? [] : $level('cleat-back-L', 'Back cleat, left', $this->left, $round[0]), ...$this->of->sides === CylinderSides::Left ? [] : $level('cleat-back-R', 'Back cleat, right', $round[1], $this->right)];
    }

    /** A stick out from the wall, on edge. */
    private function stick(string $role, string $name, Working $length, float $u, float $v, float $z, string $how): Placed
    {
        $piece = $this->site->make->inner("$role-{$this->number}", $name, $length, Working::start('width of the cleat', $this->of->cleat), Purpose::Framing, Grain::Length, [], [$how]);

        return new Placed($piece, Pose::at($u, $v, $z, Way::Out, Way::Up, Way::Right), Part::Cleat, $this->site->owner());
    }
}
