<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\FittedSurface;
use Incastro\Fit\Terms;
use Incastro\Units\Shell\CutAround;
use Incastro\Units\Shell\Outlets;
use Incastro\Units\Sites\StandsAgainst;
use Incastro\Units\Sites\SurfaceSite;

/** Builds what lies on a wall, cut around what is there. */
final readonly class SurfaceBuilder
{
    /** @param list<string> $openings things for which an opening is cut in what covers them */
    public function __construct(private Terms $terms, private array $openings)
    {
    }

    public function build(FittedSurface $surface, StandsAgainst $against): Assembly
    {
        $holds = $surface->surface->holds;
        $built = $holds instanceof SurfaceUnit && $surface->findings === [] ? $holds->build(new SurfaceSite($surface, $this->terms, $against)) : new Assembly([]);

        $cut = (new CutAround($surface->frame, $this->terms, $this->openings))->all($built);

        return Assembly::all($cut, (new Outlets($surface->frame, $this->terms, $this->openings))->behindBoards($surface, $cut));
    }
}
