<?php

declare(strict_types=1);

namespace Incastro\Planning;

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
    /** A tenth more than what is needed: cut off, spilt, left in the tin. */
    private const SPARE = 1.1;

    /** Banding is so much wider than its edge: up to this thickness 22 mm, above it 28. */
    private const THIN = 19.0;

    /** Rolls of banding, mm. */
    private const ROLLS = [[10_000.0, 50_000.0], [25 * 304.8, 250 * 304.8]];

    /** Glue: grams on a square metre of joint, a fifth over; bottles, ml. */
    private const GLUE = 170.0;

    private const GLUE_OVER = 1.2;

    private const BOTTLES = [[250.0, 750.0], [236.6, 473.2]];

    /** Coats, and square metres that a litre covers. */
    private const PAINTED = [['primer', 1, 10.0], ['paint', 2, 12.0]];

    private const CLEAR = [['varnish', 3, 12.0]];

    /** Tins, litres. */
    private const TINS = [[0.375, 0.75, 2.5], [0.946, 3.785]];

    /** What stays raw: nobody sees it. */
    private const RAW = [Purpose::Rail, Purpose::Framing];

    public function __construct(private Plan $plan)
    {
    }

    /** @return list<array{what: string, need: string, bought: string}> */
    public function lines(): array
    {
        return [...$this->banding(), ...$this->glue(), ...$this->finish()];
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

    /** @return list<array{what: string, need: string, bought: string}> */
    private function banding(): array
    {
        $lines = [];
        foreach ($this->banded() as $wide => $long) {
            $lines[] = ['what' => sprintf('Edge banding %s wide', $this->isInch() ? ($wide === 22 ? '7/8 in' : '1 1/8 in') : "$wide mm"), 'need' => $this->metres(self::SPARE * $long), 'bought' => $this->packs(self::SPARE * $long, self::ROLLS, fn (float $pack) => 'roll of '.$this->metres($pack, 0))];
        }

        return $lines;
    }

    /** @return list<array{what: string, need: string, bought: string}> */
    private function glue(): array
    {
        $ml = self::GLUE_OVER * self::GLUE * $this->glued();
        $write = fn (float $ml): string => $this->isInch() ? sprintf('%.0f fl oz', $ml / 29.57) : sprintf('%.0f ml', $ml);

        return $ml < 1.0 ? [] : [['what' => 'Wood glue', 'need' => $write($ml), 'bought' => $this->packs($ml, self::BOTTLES, fn (float $pack) => 'bottle of '.$write($pack))]];
    }

    /** @return list<array{what: string, need: string, bought: string}> */
    private function finish(): array
    {
        $area = $this->finished();
        $write = fn (float $litres): string => $this->isInch() ? ($litres < 1.9 ? sprintf('%.2f qt', $litres / 0.946) : sprintf('%.2f gal', $litres / 3.785)) : sprintf('%.2f l', $litres);
        $lines = [];
        foreach ($area < 0.01 ? [] : ($this->plan->job->rules->painted ? self::PAINTED : self::CLEAR) as [$what, $coats, $covers]) {
            $litres = self::SPARE * $coats * $area / $covers;
            $lines[] = ['what' => sprintf('%s, %s', ucfirst($what), $coats === 1 ? '1 coat' : "$coats coats"), 'need' => $write($litres), 'bought' => $this->packs($litres, self::TINS, fn (float $pack) => 'tin of '.($this->isInch() ? ($pack < 1.0 ? '1 qt' : '1 gal') : rtrim(rtrim(sprintf('%.3f', $pack), '0'), '.').' l'))];
        }

        return $lines;
    }

    /**
     * The fewest packs that cover a need, of these with the least over.
     *
     * @param  array{non-empty-list<float>, non-empty-list<float>}  $sold  in millimetres and in inches, the smallest first
     * @param  \Closure(float): string  $name
     */
    private function packs(float $need, array $sold, \Closure $name): string
    {
        $sizes = $sold[$this->isInch() ? 1 : 0];
        $largest = max($sizes);
        $whole = max(0, (int) ceil($need / $largest - 1e-9) - 1);
        $left = $need - $whole * $largest;
        $last = min(array_filter($sizes, fn (float $size) => $size >= $left - 1e-9) ?: [$largest]);
        $counted = $last === $largest ? [[$whole + 1, $largest]] : array_filter([[$whole, $largest], [1, $last]], fn (array $one) => $one[0] > 0);

        return implode(', ', array_map(fn (array $one) => $one[0].' × '.$name($one[1]), $counted));
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
