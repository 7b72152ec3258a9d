<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Units\Placed;

/**
 * Rails on the wall, screwed to every stud there wherever it stands, and uprights on them that follow the boards of the skin: all of
 * them lie flat.
 */
final readonly class BattenFrame
{
    /** Two rails are no farther apart, mm and inches. */
    private const APART = [600.0, 24.0];

    /** Packing behind less than this is shims, mm and inches. */
    private const SHIMS = [3.0, 0.125];

    private float $t;

    private float $w;

    /** Faces of the rails. */
    private float $rails;

    /**
     * @param  float  $front  of the frame, out from where the wall begins
     * @param  float  $pitch  of the uprights
     * @param  float  $begins  so far behind the edge of the skin, from which that is counted
     */
    public function __construct(private Sticks $sticks, private Working $wide, private Working $high, private float $front, private float $pitch, private ?RoughOpening $hole, private float $begins = 0.0)
    {
        $this->t = $sticks->thick->toDouble();
        $this->w = $sticks->wide->toDouble();
        $this->rails = $front - $this->t;
    }

    /** @return list<Placed> */
    public function build(): array
    {
        return [...$this->rails(), ...$this->uprights()];
    }

    /** @return list<Placed> */
    private function rails(): array
    {
        $tall = $this->high->result->toDouble() - $this->w;
        $rows = (int) ceil($tall / $this->sticks->site->terms->rules->either(...self::APART)->toDouble() - 1e-9);
        $y = $this->rails - $this->t;
        $how = 'screwed to every stud of the wall, shimmed plumb and flat';
        $placed = [];
        for ($i = 0; $i <= $rows; $i++) {
            $z = $i * $tall / max(1, $rows);
            $isCut = $this->hole !== null && $z < $this->hole->head() && $z + $this->w > $this->hole->z;
            if (! $isCut) {
                array_push($placed, ...$this->rail('rail-'.($i + 1), 'Rail', $this->wide, 0.0, $y, $z, $how));

                continue;
            }
            $left = Working::start('to the opening', Length::ofDouble($this->hole->x));
            $right = Working::start('from the opening on', Length::ofDouble($this->wide->result->toDouble() - $this->hole->right()));
            array_push($placed, ...$this->rail('rail-'.($i + 1).'-L', 'Rail, left of the opening', $left, 0.0, $y, $z, $how), ...$this->rail('rail-'.($i + 1).'-R', 'Rail, right of it', $right, $this->hole->right(), $y, $z, $how));
        }

        return $placed;
    }

    /** @return list<Placed> in parts that meet on studs of the wall behind, where they are known and one is longer than it is made */
    private function rail(string $role, string $name, Working $length, float $x, float $y, float $z, string $how): array
    {
        $site = $this->sticks->site;
        $parts = $this->sticks->parts($length, array_map(fn (Block $stud): float => ($stud->u0 + $stud->u1) / 2 - $site->place->u - $x, $site->studs()));

        $packing = Working::start('behind the rail', Length::ofDouble($y));
        $isPacked = ! $packing->result->isLessThan($site->terms->rules->either(...self::SHIMS));
        $placed = [];
        foreach ($parts as $i => [$from, $long]) {
            $number = $i === 0 ? '' : '-'.($i + 1);
            $placed[] = $this->sticks->flatLevel($role.$number, $name, $long, $x + $from, $y, $z, $how);
            if ($isPacked) {
                $placed[] = $this->sticks->packing("pack-$role$number", $long, $packing, $x + $from, $z + ($this->w - $this->t) / 2);
            }
        }

        return $placed;
    }

    /** @return list<Placed> */
    private function uprights(): array
    {
        $long = $this->wide->result->toDouble();
        $lefts = [0.0, $long - $this->w];
        $hole = $this->hole;
        if ($hole !== null) {
            array_push($lefts, $hole->x - $this->w, $hole->right());
        }
        $short = [];
        $whole = $lefts;
        for ($middle = $this->pitch - $this->begins; $middle < $long; $middle += $this->pitch) {
            $left = $middle - $this->w / 2;
            if (array_filter($lefts, fn (float $other) => abs($other - $left) < $this->w) !== []) {
                continue;
            }
            if ($hole !== null && $left + $this->w > $hole->x && $left < $hole->right()) {
                $short[] = $left;
            } else {
                $whole[] = $left;
            }
        }
        sort($whole);
        $how = 'one screw into every rail';
        $placed = array_map(fn (float $left, int $i) => $this->sticks->flatUpright('vertical-'.($i + 1), 'Upright', $this->high, $left, $this->rails, 0.0, $how), $whole, array_keys($whole));

        return $hole === null ? $placed : [...$placed, ...$this->opening($hole, $short, $how)];
    }

    /**
     * @param  list<float>  $short  uprights that the opening parts
     * @return list<Placed>
     */
    private function opening(RoughOpening $hole, array $short, string $how): array
    {
        $wide = Working::start('width of the opening', Length::ofDouble($hole->width));
        $placed = [$this->sticks->flatLevel('header', 'Header', $wide, $hole->x, $this->rails, $hole->head(), 'between the uprights')];
        $over = $this->high->minus('to the head of the opening', Length::ofDouble($hole->head()))->minus('header', $this->sticks->wide);
        $under = Working::start('foot of the opening', Length::ofDouble($hole->z))->minus('sill', $this->sticks->wide);
        if (! $hole->isFromFloor()) {
            $placed[] = $this->sticks->flatLevel('sill', 'Sill', $wide, $hole->x, $this->rails, $hole->z - $this->w, 'between the uprights');
        }
        foreach ($short as $i => $left) {
            array_push($placed, ...($over->result->isPositive() ? [$this->sticks->flatUpright('short-head-'.($i + 1), 'Short upright over the header', $over, $left, $this->rails, $hole->head() + $this->w, $how)] : []));
            array_push($placed, ...($under->result->isPositive() && ! $hole->isFromFloor() ? [$this->sticks->flatUpright('short-sill-'.($i + 1), 'Short upright under the sill', $under, $left, $this->rails, 0.0, $how)] : []));
        }

        return $placed;
    }
}
