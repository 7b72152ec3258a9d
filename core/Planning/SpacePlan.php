<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\Carried;
use Incastro\Check\Verdict;
use Incastro\Fit\FittedLayout;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;
use Incastro\Survey\Survey;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;

/** What a space comes to: the room as found, the runs fitted into it, their pieces, and all that was found on the way. */
final readonly class SpacePlan
{
    /**
     * @param  list<Assembly>  $assemblies  of each run of the layout, and then of what lies on each wall
     * @param  list<Assembly>  $made  the same with what their joints take: marked on the pieces, and bought
     * @param  list<Carried>  $carried  how every box and large panel gets in
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public Space $space,
        public Survey $survey,
        public ?FittedLayout $layout,
        public array $assemblies,
        public array $made,
        public array $carried,
        public array $findings,
        public Verdict $verdict,
    ) {
    }

    /**
     * Of marks that were given those that its own furniture bears.
     *
     * @param  array<string, string>  $given  by owner
     * @return array<string, string>
     */
    public function marks(array $given): array
    {
        $owners = [];
        foreach ($this->assemblies as $assembly) {
            foreach ($assembly->placed as $placed) {
                $owners[$placed->owner] = true;
            }
        }

        return array_intersect_key($given, $owners);
    }

    /** @return list<Piece> as they are cut */
    public function pieces(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->pieces(), $this->assemblies));
    }

    /** @return list<Piece> with what their joints mark on them */
    public function marked(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->pieces(), $this->made));
    }

    /** @return list<Hardware> */
    public function hardware(): array
    {
        return Hardware::counted(array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->hardware, $this->made)));
    }

    /** @return array<string, Working> by name */
    public function decisions(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->decisions, $this->assemblies));
    }
}
