<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Run;
use Incastro\Rules\Rule;
use Incastro\Survey\Room\Face;

/** What closes walls where a run stands: not beside what it begins and ends at, nor over all that it builds. */
final readonly class FacesMet
{
    /** Tops and lids are no thicker, mm. */
    private const LAID_OVER = 60.0;

    public function __construct(private Terms $terms, private Run $run)
    {
    }

    /**
     * @param  array<string, FittedSurface>  $surfaces  by id
     * @return list<Face>
     */
    public function among(array $surfaces): array
    {
        $left = isset($surfaces[$this->run->from]) ? $surfaces[$this->run->from]->end() : -INF;
        $right = isset($surfaces[$this->run->to]) ? $surfaces[$this->run->to]->u : INF;
        $high = $this->run->height?->toDouble() ?? $this->builtHigh();

        return array_values(array_filter(self::all($surfaces), fn (Face $face) => $face->z0 < $high && ($face->wall !== $this->run->wall || $face->u1 > $left && $face->u0 < $right)));
    }

    /**
     * @param  array<string, FittedSurface>  $surfaces
     * @return list<Face> of those that close their walls
     */
    public static function all(array $surfaces): array
    {
        return array_values(array_filter(array_map(fn (FittedSurface $surface): ?Face => $surface->face(), $surfaces)));
    }

    /** How high anything is built at most: where cells of chosen sizes are left open above, no higher than those; mm. */
    private function builtHigh(): float
    {
        $high = 0.0;
        foreach ($this->run->bays as $bay) {
            $z = $this->terms->rule(Rule::PlinthHeight) + self::LAID_OVER;
            foreach ($bay->tiers as $tier) {
                $z += $tier->size->fixed?->toDouble() ?? INF;
                $high = $tier->isBuilt() ? max($high, $z) : $high;
            }
        }

        return $high;
    }
}
