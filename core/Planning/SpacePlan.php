<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\Carried;
use Incastro\Check\Verdict;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;
use Incastro\Survey\Survey;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Placed;

/** What a space comes to: the room as found, the runs fitted into it, their pieces, and all that was found on the way. */
final class SpacePlan
{
    /** @var list<Assembly>|null */
    private ?array $made = null;

    /**
     * @param  list<Assembly>  $assemblies  of each run of the layout, and then of what lies on each wall
     * @param  list<Carried>  $carried  how every box and large panel gets in
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public readonly Space $space,
        public readonly Survey $survey,
        public readonly ?FittedLayout $layout,
        public readonly array $assemblies,
        public readonly array $carried,
        public readonly array $findings,
        public readonly Verdict $verdict,
        private readonly Joinery $joinery,
    ) {
    }

    /**
     * The same with more that was found.
     *
     * @param  list<Finding>  $more
     */
    public function finding(array $more): self
    {
        $findings = [...$this->findings, ...$more];
        $plan = new self($this->space, $this->survey, $this->layout, $this->assemblies, $this->carried, $findings, Verdict::of($this->survey, $this->layout, $findings), $this->joinery);
        $plan->made = $this->made;

        return $plan;
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

    /** What lies on a wall: the assembly of a surface of the layout, by its place among them. */
    public function onWall(int $surface): Assembly
    {
        return $this->assemblies[count($this->layout->runs ?? []) + $surface];
    }

    /** @return list<Placed> what else is built on the wall of a run: other runs along it, and what lies on it */
    public function beside(int $run): array
    {
        $runs = $this->layout->runs ?? [];
        $walls = [...array_map(fn (FittedRun $one) => $one->frame->wall, $runs), ...array_map(fn (FittedSurface $one) => $one->frame->wall, $this->layout->surfaces ?? [])];
        $others = array_filter($walls, fn (int $wall, int $i) => $i !== $run && $wall === $walls[$run], ARRAY_FILTER_USE_BOTH);

        return array_merge([], ...array_values(array_map(fn (int $i) => $this->assemblies[$i]->placed, array_keys($others))));
    }

    /** @return list<Piece> as they are cut */
    public function pieces(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->pieces(), $this->assemblies));
    }

    /**
     * The same assemblies with what their joints take: marked on the pieces, and bought. Worked out once, when somebody looks.
     *
     * @return list<Assembly>
     */
    public function made(): array
    {
        return $this->made ??= array_map($this->joinery->made(...), $this->assemblies);
    }

    /** @return list<Piece> with what their joints mark on them */
    public function marked(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->pieces(), $this->made()));
    }

    /** @return list<Hardware> */
    public function hardware(): array
    {
        return Hardware::counted(array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->hardware, $this->made())));
    }

    /** @return array<string, Working> by name */
    public function decisions(): array
    {
        return array_merge([], ...array_map(fn (Assembly $assembly) => $assembly->decisions, $this->assemblies));
    }
}
