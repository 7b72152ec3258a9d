<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Buy\Item;
use Incastro\Buy\Need;
use Incastro\Buy\Pack;
use Incastro\Buy\Shop;
use Incastro\Fit\Closing\Closing;
use Incastro\Geometry\Point;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\JointKind;

/**
 * What is bought by measure: edge banding, glue, and what the wood is finished with, each with its need and the packs that cover it: as few
 * as can be, of these the least over. Coverages are usual ones; the tin tells its own.
 */
final readonly class Supplies
{
    /** Banding is so much wider than its edge: up to this thickness 22 mm, above it 28. */
    private const THIN = 19.0;

    /** Rolls of banding, mm. */
    private const ROLLS = [[10_000.0, 50_000.0], [25 * 304.8, 250 * 304.8]];

    /** Glue: grams on a square metre of joint, a fifth over; bottles, ml. */
    private const GLUE = 170.0;

    private const GLUE_OVER = 1.2;

    /** A bead of caulk fills its gap so deep, with a fillet of 4 × 4 / 2 at its face, mm and mm²; cartridges, ml. */
    private const BEAD = 6.0;

    private const FILLET = 8.0;

    private const CARTRIDGES = [[300.0], [300.0]];

    private const BOTTLES = [[250.0, 750.0], [236.6, 473.2]];

    /** Coats, and square metres that a litre covers. */
    private const PAINTED = [['primer', 1, 10.0], ['paint', 2, 12.0]];

    private const CLEAR = [['varnish', 3, 12.0]];

    /** Tins, ml. */
    private const TINS = [[375.0, 750.0, 2500.0], [946.0, 3785.0]];

    /** What stays raw: nobody sees it. */
    private const RAW = [Purpose::Rail, Purpose::Framing];

    public function __construct(private Plan $plan)
    {
    }

    /** @return list<Need> */
    public function needs(): array
    {
        return [...$this->banding(), ...$this->glue(), ...$this->caulk(), ...$this->finish()];
    }

    /** @return array<int, float> mm of banded edges by the width of banding, mm */
    public function banded(): array
    {
        $banded = [];
        foreach ($this->plan->pieces() as $piece) {
            $wide = $piece->thickness->toDouble() > self::THIN ? 28 : 22;
            foreach ($piece->works as $work) {
                $long = $work instanceof Finished ? $work->banded($piece->length->result->toDouble(), $piece->width->result->toDouble()) : 0.0;
                if ($long > 0.0) {
                    $banded[$wide] = ($banded[$wide] ?? 0.0) + $long;
                }
            }
        }
        ksort($banded);

        return $banded;
    }

    /** Square metres of joints that are glued. */
    public function glued(): float
    {
        return array_sum(array_map(fn (SpacePlan $space) => array_sum(array_map(self::joints(...), $space->assemblies)), $this->plan->spaces));
    }

    /** Square metres of all faces and edges of what is finished. */
    public function finished(): float
    {
        return array_sum(array_map(function (Piece $piece): float {
            [$long, $wide, $thick] = [$piece->length->result->toDouble(), $piece->width->result->toDouble(), $piece->thickness->toDouble()];

            return in_array($piece->purpose, self::RAW, true) ? 0.0 : (2 * $piece->outline->area() + 2 * ($long + $wide) * $thick) / 1e6;
        }, $this->plan->pieces()));
    }

    private static function joints(Assembly $assembly): float
    {
        $byKey = $assembly->byKey();
        $area = 0.0;
        foreach ($assembly->joints as $joint) {
            if (! isset($byKey[$joint->a], $byKey[$joint->b]) || ! in_array($joint->kind, [JointKind::Pocket, JointKind::Dado, JointKind::Rabbet, JointKind::Glue], true)) {
                continue;
            }
            $shared = $byKey[$joint->a]->bounds->overlap($byKey[$joint->b]->bounds);
            sort($shared);
            $area += max(0.0, $shared[1]) * max(0.0, $shared[2]) / 1e6;
        }

        return $area;
    }

    /** @return list<Need> in mm */
    private function banding(): array
    {
        $needs = [];
        foreach ($this->banded() as $wide => $long) {
            $what = sprintf('Edge banding %s wide', $this->isInch() ? ($wide === 22 ? '7/8 in' : '1 1/8 in') : "$wide mm");
            $needs[] = $this->need("banding:$wide", Shop::Ironmonger, $what, $long, self::ROLLS, fn (float $pack) => 'roll of '.$this->metres($pack, 0), fn (float $mm) => $this->metres($mm), new Item('banding', ['width_nm' => $wide * 1_000_000]));
        }

        return $needs;
    }

    /** @return list<Need> in ml */
    private function glue(): array
    {
        $ml = self::GLUE * $this->glued();
        $write = fn (float $ml): string => $this->isInch() ? sprintf('%.0f fl oz', $ml / 29.57) : sprintf('%.0f ml', $ml);

        return self::GLUE_OVER * $ml < 1.0 ? [] : [$this->need('glue', Shop::Ironmonger, 'Wood glue', $ml, self::BOTTLES, fn (float $pack) => 'bottle of '.$write($pack), $write, new Item('glue'), self::GLUE_OVER)];
    }

    /** @return list<Need> in ml */
    private function caulk(): array
    {
        $ml = $this->caulked();
        $write = fn (float $ml): string => $this->isInch() ? sprintf('%.0f fl oz', $ml / 29.57) : sprintf('%.0f ml', $ml);

        return $ml < 1.0 ? [] : [$this->need('caulk', Shop::Paint, 'Caulk that takes paint', $ml, self::CARTRIDGES, fn (float $pack) => 'cartridge of '.$write($pack), $write, new Item('caulk'))];
    }

    /** Millilitres in the gaps that are caulked: the length of each times its bead. */
    public function caulked(): float
    {
        $ml = 0.0;
        foreach ($this->plan->spaces as $space) {
            foreach ($space->layout->runs ?? [] as $run) {
                foreach ($run->edges as $edge) {
                    $along = array_map(fn (Point $station) => $station->x, $edge->gap->stations);
                    $gap = array_sum(array_map(fn (Point $station) => max(0.0, $station->y), $edge->gap->stations)) / count($along);
                    $ml += $edge->closing === Closing::Caulk ? self::bead(max($along) - min($along), $gap) : 0.0;
                }
            }
        }

        return $ml;
    }

    /** Millilitres of a bead so long in a gap so wide, mm. */
    public static function bead(float $long, float $gap): float
    {
        return $long * (self::BEAD * $gap + self::FILLET) / 1000;
    }

    /** @return list<Need> in ml */
    private function finish(): array
    {
        $area = $this->finished();
        $write = fn (float $ml): string => $this->isInch() ? ($ml < 1900 ? sprintf('%.2f qt', $ml / 946) : sprintf('%.2f gal', $ml / 3785)) : sprintf('%.2f l', $ml / 1000);
        $tin = fn (float $ml): string => 'tin of '.($this->isInch() ? ($ml < 1000 ? '1 qt' : '1 gal') : rtrim(rtrim(sprintf('%.3f', $ml / 1000), '0'), '.').' l');
        $needs = [];
        foreach ($area < 0.01 ? [] : ($this->plan->job->rules->painted ? self::PAINTED : self::CLEAR) as [$what, $coats, $covers]) {
            $needs[] = $this->need("finish:$what", Shop::Paint, sprintf('%s, %s', ucfirst($what), $coats === 1 ? '1 coat' : "$coats coats"), 1000 * $coats * $area / $covers, self::TINS, $tin, $write, new Item($what));
        }

        return $needs;
    }

    /**
     * @param  float  $use  without what is over
     * @param  array{non-empty-list<float>, non-empty-list<float>}  $sold  sizes of packs in base units, in millimetres and in inches
     * @param  \Closure(float): string  $name  of a pack
     * @param  \Closure(float): string  $write  an amount
     * @param  ?float  $over  of what is used; as much as the job says where nothing is
     */
    private function need(string $key, Shop $shop, string $what, float $use, array $sold, \Closure $name, \Closure $write, Item $item, ?float $over = null): Need
    {
        $over ??= 1.0 + $this->plan->job->buying->over;
        $all = (int) ceil($over * $use - 1e-6);
        $packs = array_map(fn (float $size) => new Pack((int) round($size), null, $name($size)), $sold[$this->isInch() ? 1 : 0]);

        return new Need($key, $shop, $what, '', min($all, (int) ceil($use)), $all - min($all, (int) ceil($use)), $packs, fn (int $amount): string => $write((float) $amount), item: $item);
    }

    private function metres(float $mm, int $digits = 1): string
    {
        return $this->isInch() ? sprintf('%.0f ft', ceil($mm / 304.8 - 1e-9)) : sprintf("%.{$digits}f m", $mm / 1000);
    }

    private function isInch(): bool
    {
        return $this->plan->job->format->unit === Unit::Inch;
    }
}
