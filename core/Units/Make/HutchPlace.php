<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Box;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Units\Sites\CellSite;

/** Where the opening of a hutch is: from what it stands on to the box that hangs over it, as wide and as deep as that, mm. */
final readonly class HutchPlace
{
    /** What ends or begins this near to the cell belongs to it, mm. */
    private const NEAR = 5.0;

    /** As deep as the upper one usually is, where none is there; mm and inches. */
    private const DEEP = [300.0, 12.0];

    /**
     * @param  string  $standsOn  key of the piece that the gables stand on
     * @param  float  $front  plane of the gables' front edges, v
     * @param  bool  $isPlain  whether the box over it has neither a frame nor fronts
     */
    private function __construct(
        public ?Box $upper,
        public string $standsOn,
        public float $u,
        public float $end,
        public Length $width,
        public float $v,
        public float $front,
        public float $foot,
        public float $head,
        public bool $isPlain,
        public Working $height,
        public Working $depth,
    ) {
    }

    public static function of(CellSite $site): self
    {
        $cell = $site->cell;
        $beside = fn (float $u, float $end): bool => $u < $cell->end() - self::NEAR && $end > $cell->u + self::NEAR;
        $boxes = array_values(array_filter($site->run->boxes, fn (Box $box) => $beside($box->u, $box->right())));
        $over = array_values(array_filter($boxes, fn (Box $box) => $box->z > $cell->z + self::NEAR));
        usort($over, fn (Box $a, Box $b) => $a->z <=> $b->z);
        $upper = $over[0] ?? null;
        $under = array_values(array_filter($boxes, fn (Box $box) => $box->highest() < $cell->z + self::NEAR));
        usort($under, fn (Box $a, Box $b) => $b->z <=> $a->z);
        $foot = $cell->z;
        $standsOn = $under === [] ? '' : $under[0]->id.':top';
        foreach ($site->run->over() as $top) {
            if ($beside($top->u, $top->end()) && $top->z < $cell->z + self::NEAR) {
                $foot = max($foot, $top->top);
                $standsOn = $top->id.':top';
            }
        }
        $ceiling = min(array_map(fn (float $u) => $site->run->frame->ceilingAt($u, $cell->back), [$cell->u, $cell->end()]));
        $head = $upper === null ? min($cell->z + min($cell->left, $cell->right), $ceiling - $site->terms->rules->get(Rule::TopAllowance)->toDouble()) : $upper->z;
        $isFramed = ! $site->terms->frame()->isZero();
        $v = $upper === null ? $cell->back : $upper->v;
        $deep = Working::start($upper === null ? 'as an upper one is' : 'depth of the box over it', $upper?->outerDepth() ?? Length::ofDouble(min($site->terms->rules->either(...self::DEEP)->toDouble(), $cell->face - $cell->back)));
        $deep = $upper !== null && $isFramed ? $deep->minus('strip before it', $site->terms->frame()) : $deep;
        [$u, $width] = $upper === null ? [$cell->u, $cell->width->result] : [$upper->u, $upper->outerWidth()];

        return new self($upper, $standsOn, $u, $u + $width->toDouble(), $width, $v, $v + $deep->roundedDown($site->terms->format)->result->toDouble(), $foot, $head, ! $isFramed && $upper !== null && self::isOpen($upper), Working::start('from the worktop to what hangs over it', Length::ofDouble($head - $foot)), $deep);
    }

    public function high(): float
    {
        return $this->head - $this->foot;
    }

    private static function isOpen(Box $box): bool
    {
        foreach ($box->columns as $column) {
            foreach ($column->openings as $opening) {
                if ($opening->front !== null) {
                    return false;
                }
            }
        }

        return true;
    }
}
