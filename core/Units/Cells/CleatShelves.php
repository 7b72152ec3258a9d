<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Fit\FittedShelf;
use Incastro\Fit\Holds\RestsOnWalls;
use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Strength\ShelfLoad;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Make\CleatShelf;
use Incastro\Units\Make\PackedShelves;
use Incastro\Units\ShelfRest;
use Incastro\Units\Sites\CellSite;

/** Shelves from wall to wall: on cleats, each cut to its own four corners, or on pins in strips that are packed parallel. */
#[About('cleat-shelves', 'Shelves between walls', 'Boards on cleats, each cut to its own four corners, or on pins in packed strips.', 'Storage', 'S')]
final readonly class CleatShelves implements CellUnit, RestsOnWalls
{
    /** A shelf shorter or shallower than this has no room for its cleats, mm. */
    private const LEAST = 80;

    /** Clear between two boards, at least, mm: the cleats of the upper one, and a hand's edge. */
    private const LEAST_CLEAR = CleatShelf::CLEAT + 10;

    public function __construct(
        #[Count('Shelves', 3, 1, 20)] public int $count,
        #[Choice('Carries', ShelfLoad::Linen)] public ShelfLoad $load,
        #[Choice('Lie on', ShelfRest::Cleats)] public ShelfRest $rest,
        #[Size('Strip under the front edge, height', ['0', '0'], 0, 100, 'None where it is 0. It stiffens a long shelf.')]
        #[When('rest', ShelfRest::Cleats)]
        public Length $strip,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function boards(): int
    {
        return $this->count;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        $cleats = Extent::atLeast(Length::ofMillimetres(self::LEAST), 'its cleats need %s');
        $high = $materials->carcass->thickness->times($this->count)->plus(Length::ofMillimetres(self::LEAST_CLEAR)->times($this->count + 1));

        return new CellDemand($cleats, Extent::atLeast($high, 'so many shelves need %s'), $cleats);
    }

    public function build(CellSite $site): Assembly
    {
        $shelves = $site->boards();
        if ($this->rest === ShelfRest::Strips && $shelves !== []) {
            return (new PackedShelves($site, $shelves, $this->load))->build();
        }

        return Assembly::all(...array_map(fn (FittedShelf $shelf) => (new CleatShelf($shelf, $site->make, $site->terms, $this->load, $this->strip))->build(), $shelves));
    }
}
