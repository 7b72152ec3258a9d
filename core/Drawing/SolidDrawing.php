<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\FittedRun;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Vector;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * A run in isometric view, seen from the right, the front and above; or with its pieces drawn apart, each away from the middle
 * of its box. What lies behind is drawn first: pieces are sorted by the planes that part them.
 */
final readonly class SolidDrawing
{
    /** Light on the three sides one sees. */
    private const STYLES = ['z' => Style::BoardTop, 'v' => Style::Board, 'u' => Style::BoardSide];

    public function __construct(private FittedRun $run, private Assembly $assembly)
    {
    }

    public function draw(bool $apart): Drawing
    {
        $solids = [];
        $away = new Apart($this->run);
        foreach ($this->assembly->placed as $placed) {
            if ($placed->part !== Part::Cleat) {
                $by = $apart ? $away->of($placed) : new Vector(0.0, 0.0, 0.0);
                $solids[] = [$placed, [$by->x, $by->y, $by->z]];
            }
        }
        $shapes = [];
        foreach (self::sorted($solids) as [$placed, $by]) {
            array_push($shapes, ...$this->faces($placed, $by));
        }

        return new Drawing($apart ? 'Drawn apart' : 'Seen from the right and above', ['pieces' => $shapes]);
    }

    /**
     * @param  list<array{Placed, array{float, float, float}}>  $solids
     * @return list<array{Placed, array{float, float, float}}> from the back to the front
     */
    private static function sorted(array $solids): array
    {
        $blocks = array_map(fn (array $solid) => [
            $solid[0]->bounds->u0 + $solid[1][0], $solid[0]->bounds->u1 + $solid[1][0],
            $solid[0]->bounds->v0 + $solid[1][1], $solid[0]->bounds->v1 + $solid[1][1],
            $solid[0]->bounds->z0 + $solid[1][2], $solid[0]->bounds->z1 + $solid[1][2],
        ], $solids);
        // Behind: wholly to the left of, nearer to the wall than, or below another.
        $isBehind = fn (array $a, array $b): bool => $a[1] <= $b[0] + 0.01 || $a[3] <= $b[2] + 0.01 || $a[5] <= $b[4] + 0.01;
        $count = count($solids);
        $waits = array_fill(0, $count, 0);
        $before = array_fill(0, $count, []);
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                $first = $isBehind($blocks[$i], $blocks[$j]);
                $second = $isBehind($blocks[$j], $blocks[$i]);
                if ($first !== $second) {
                    [$back, $front] = $first ? [$i, $j] : [$j, $i];
                    $before[$back][] = $front;
                    $waits[$front]++;
                }
            }
        }
        $order = [];
        $left = array_combine(array_keys($solids), array_keys($solids));
        while ($left !== []) {
            // Where pieces overlap in a ring, the hindmost goes first.
            uasort($left, fn (int $a, int $b) => [$waits[$a], array_sum($blocks[$a])] <=> [$waits[$b], array_sum($blocks[$b])]);
            $next = array_key_first($left);
            unset($left[$next]);
            $order[] = $solids[$next];
            foreach ($before[$next] as $front) {
                $waits[$front]--;
            }
        }

        return $order;
    }

    /**
     * @param  array{float, float, float}  $by
     * @return list<Shape> the sides of a piece that one sees
     */
    private function faces(Placed $placed, array $by): array
    {
        $solid = $placed->prism();
        $profile = (new Polygon($solid->profile))->signedArea() > 0 ? $solid->profile : array_reverse($solid->profile);
        $faces = [];
        $count = count($profile);
        [$first, $second] = $solid->axis->across();
        foreach ($profile as $i => $a) {
            $b = $profile[($i + 1) % $count];
            // The outward normal of an edge of an anticlockwise profile.
            $normal = [$first->value => $b->y - $a->y, $second->value => $a->x - $b->x];
            if (array_sum($normal) > 1e-9) {
                arsort($normal);
                $faces[] = $this->face([$solid->corner($a, $solid->from), $solid->corner($b, $solid->from), $solid->corner($b, $solid->to), $solid->corner($a, $solid->to)], self::STYLES[(string) array_key_first($normal)], $placed, $by);
            }
        }
        $faces[] = $this->face(array_map(fn (Point $point) => $solid->corner($point, $solid->to), $profile), self::STYLES[$solid->axis->value], $placed, $by);

        return $faces;
    }

    /**
     * @param  list<array{float, float, float}>  $corners
     * @param  array{float, float, float}  $by
     */
    private function face(array $corners, Style $style, Placed $placed, array $by): Shape
    {
        return new Outline(array_map(fn (array $corner) => self::projected($corner[0] + $by[0], $corner[1] + $by[1], $corner[2] + $by[2]), $corners), true, $style, $placed->piece->key);
    }

    /** Isometric: u goes to the right and down, v to the left and down, z up. */
    private static function projected(float $u, float $v, float $z): DrawnPoint
    {
        return new DrawnPoint(($u - $v) * cos(M_PI / 6), $z - ($u + $v) * sin(M_PI / 6));
    }
}
