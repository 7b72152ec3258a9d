<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Axis;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Work;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Placed;

/** A leaf as it is made: its pieces, how high it is at its left and right, and what its width hangs on; mm. */
final readonly class MadeLeaf
{
    /** An edge this near to the leaf's is its own, mm: a panel's lies in the frame. */
    private const AT_EDGE = 0.1;

    /**
     * @param  array{float, float}  $heights  at its left and its right
     * @param  array{string, string}  $edges  keys of the pieces that have its left and its right edge
     * @param  array<string, float>  $across  of its pieces' sizes that make its width, as a use has them
     * @param  float  $tongues  what of these sizes lies in each other, mm
     */
    public function __construct(
        public Assembly $assembly,
        public Working $width,
        public Working $height,
        public array $heights,
        private array $edges,
        public array $across,
        public float $tongues = 0.0,
    ) {
    }

    public function wide(): float
    {
        return $this->width->result->toDouble();
    }

    /** The piece that is hinged where it hangs at a hand. */
    public function edge(Hand $hand): string
    {
        return $this->edges[$hand === Hand::Left ? 0 : 1];
    }

    public function height(Hand $hand): float
    {
        return $this->heights[$hand === Hand::Left ? 0 : 1];
    }

    /** @return non-empty-list<string> */
    public function keys(): array
    {
        return array_map(fn (Placed $placed) => $placed->piece->key, $this->assembly->placed) ?: throw new \LogicException('A leaf is made of something.');
    }

    /**
     * The same with a lip round it, but not where another leaf meets it: each piece has a rabbet behind those of its edges that lie
     * at the leaf's.
     *
     * @param  \Closure(non-empty-list<'x0'|'x1'|'y0'|'y1'>): Work  $rebate
     */
    public function lipped(\Closure $rebate, ?Hand $meets): self
    {
        $around = $this->assembly->placed[0]->bounds;
        foreach ($this->assembly->placed as $one) {
            $around = $around->and($one->bounds);
        }
        $at = fn (float $one, float $other): bool => abs($one - $other) < self::AT_EDGE;
        $lipped = function (Placed $one) use ($rebate, $meets, $around, $at): Placed {
            $block = $one->bounds;
            $isUpright = $one->length === Axis::Z;
            $ends = ['foot' => $at($block->z0, $around->z0), 'head' => $at($block->z1, $around->z1), 'left' => $meets !== Hand::Left && $at($block->u0, $around->u0), 'right' => $meets !== Hand::Right && $at($block->u1, $around->u1)];
            $edges = array_keys(array_filter(array_combine($isUpright ? ['x0', 'x1', 'y0', 'y1'] : ['y0', 'y1', 'x0', 'x1'], array_values($ends))));

            return $edges === [] ? $one : $one->withPiece($one->piece->worked($rebate($edges)));
        };

        return new self(...['assembly' => $this->assembly->placing(array_map($lipped, $this->assembly->placed), $this->assembly->joints)] + get_object_vars($this));
    }

    /** Weight of its pieces, kg. */
    public function weight(): float
    {
        return array_sum(array_map(fn (Placed $placed) => $placed->piece->weight(), $this->assembly->placed));
    }
}
