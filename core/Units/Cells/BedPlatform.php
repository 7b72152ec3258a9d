<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BedGuard;
use Incastro\Units\CellUnit;
use Incastro\Units\Make\Bed\BedCurtain;
use Incastro\Units\Make\Bed\BedFrame;
use Incastro\Units\Make\Bed\BedLadder;
use Incastro\Units\Make\Bed\BedRoom;
use Incastro\Units\Make\Bed\BedSizes;
use Incastro\Units\Make\Bed\Canopy;
use Incastro\Units\Make\Bed\CastorDrawer;
use Incastro\Units\Make\Bed\GuardRail;
use Incastro\Units\Make\Bed\MattressFiller;
use Incastro\Units\Mattress;
use Incastro\Units\Sites\CellSite;

/** A bed from wall to wall: slats on ledgers and rails, with drawers on the floor below, or high enough to live under, with a guard and a ladder. */
#[About('bed-platform', 'Bed', 'Slats on ledgers between walls, low or high.', 'To sleep', 'L')]
final readonly class BedPlatform implements CellUnit
{
    /** How high one lies where nothing was chosen, mm and inches. */
    private const LIES = [500.0, 20.0];

    /** A way in past a guard where no ladder stands, mm and inches. */
    private const ENTRY = [400.0, 16.0];

    /** Under the rails at least, mm. */
    private const UNDER = 40.0;

    public function __construct(
        #[Choice('Mattress', Mattress::Typed)] public Mattress $mattress,
        #[Size('Its length', ['2000', '80'], 500, 2300)]
        #[When('mattress', Mattress::Typed)]
        public Length $length,
        #[Size('Its width', ['900', '38'], 300, 2100)]
        #[When('mattress', Mattress::Typed)]
        public Length $width,
        #[Size('Its thickness', ['180', '8'], 60, 350, 'The guard and the way one lies count from it: measure it.')] public Length $thickness,
        #[Size('Play round it', ['20', '3/4'], 0, 80, 'To tuck in by hand at a wall: 40 mm or 1 1/2 in.')] public Length $play,
        #[Toggle('Lies across, from the wall out', false)] public bool $across,
        #[Size('Gap between slats, at most', ['70', '2 3/4'], 20, 70)] public Length $gap,
        #[Size('Front board stands over the deck', ['30', '1'], 0, 80)] public Length $lip,
        #[Toggle('Boards fill the gap beside the mattress', false, 'Where it is wide enough to hold a child’s head.')] public bool $filler,
        #[Toggle('Drawers on castors below', false)] public bool $drawers,
        #[Choice('Guard along the front', BedGuard::None)] public BedGuard $guard,
        #[Size('Guard over the mattress', ['260', '10 1/4'], 160, 500, 'Local standards go first.')]
        #[Unless('guard', BedGuard::None)]
        public Length $over,
        #[Toggle('Ladder at the way in', false)] public bool $ladder,
        #[Toggle('Roof over it, on end panels', false, 'In parts that come apart again.')] public bool $canopy,
        #[Size('Height of the roof', ['2150', '86'], 1500, 2600)]
        #[When('canopy', true)]
        public Length $roof,
        #[Size('Ribs under the roof', ['120', '5'], 60, 250)]
        #[When('canopy', true)]
        public Length $rib,
        #[Toggle('Roof in two halves', false, 'Where it would not pass a turn on its way.')]
        #[When('canopy', true)]
        public bool $halves,
        #[Toggle('Curtain before it', false)] public bool $curtain,
        #[Size('Stands off the wall behind', ['0', '0'], 0, 2000, 'On posts there, not on a ledger.')] public Length $off,
        #[Made('Ledgers and rails of', Purpose::Rail)] public ?string $rails = null,
        #[Made('Slats of', Purpose::Slat)] public ?string $slats = null,
        #[Size('Height of its deck', null, 150, 1900, 'Usually so that one lies 500 mm or 20 in high.')] public ?Length $deck = null,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    /** @return array{Length, Length} its width and its length */
    public function mattressSize(): array
    {
        return $this->mattress->size() ?? [$this->width, $this->length];
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        [$wide, $long] = $this->mattressSize();
        [$u, $v] = $this->across ? [$wide, $long] : [$long, $wide];
        // By how little it jams is said with what is clear over its height.
        return new CellDemand(
            Extent::atLeast($u->times(9)->dividedBy(10)->plus($this->canopy ? $materials->carcass->thickness->times(2) : Length::zero()), 'its mattress needs %s'),
            Extent::any(),
            Extent::atLeast($v->times(9)->dividedBy(10), 'its mattress needs %s'),
        );
    }

    public function build(CellSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Rail, $this->rails)->madeOf(Purpose::Slat, $this->slats);
        $sizes = new BedSizes($site, $this, $this->deckAt($site)->result->toDouble());
        $cell = $site->cell;
        $least = max($site->floor(), self::UNDER);
        if ($sizes->zl < $least - 1e-6) {
            $deck = Length::ofDouble(ceil($sizes->deck + $least - $sizes->zl));

            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('Its rails would lie %s over the floor; their upper edge comes to %s with %s under them.', $site->terms->write($sizes->zl), $site->terms->format->write($deck), $site->terms->write($least)), $cell->tier->id)
                ->withWaysOut([new WayOut(sprintf('Its deck %s high', $site->terms->format->write($deck)), Edits::tier($cell->tier->id)->measuring('with.deck', $deck)), new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())])]);
        }
        if ($cell->z + min($cell->left, $cell->right) < $sizes->deck - 1e-6) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('Its deck lies %s high; its place ends at %s.', $site->terms->write($sizes->deck), $site->terms->write($cell->z + min($cell->left, $cell->right))), $cell->tier->id)
                ->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())])]);
        }
        $in = (new BedFrame($sizes, $this->lip))->postsIn($this->canopy ? [] : $site->openEnds());
        if ($in !== null) {
            return new Assembly([], findings: [Finding::clash(Code::Overlap, sprintf('The posts of the bed come down to the floor through what stands under it: %s.', $in[1]), $cell->tier->id)->about([$in[0]])
                ->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())])]);
        }
        $ladder = new BedLadder($sizes);
        $entry = $this->ladder ? $ladder->entry() : $site->terms->rules->either(...self::ENTRY)->toDouble();
        $guard = $this->guard === BedGuard::None ? null : new GuardRail($sizes, $this->guard, $entry);
        // The front board ends under the lowest rail of a guard.
        $lip = $guard !== null && $guard->lowest()->isLessThan($this->lip) ? $guard->lowest() : $this->lip;
        $parts = [(new BedFrame($sizes, $lip))->build($this->canopy ? [] : $site->openEnds()), ...$this->below($site, $sizes), ...($guard === null ? [] : [$guard->build()]), ...($this->canopy ? [(new Canopy($sizes))->build()] : [])];
        if ($this->ladder) {
            $parts[] = $ladder->build($this->guard === BedGuard::EntryLeft ? 0.0 : $sizes->pu - $entry);
        }

        if ($this->curtain) {
            $parts[] = (new BedCurtain($sizes, $this->curtainRail($site, $sizes)))->build();
        }
        $lying = $sizes->lying();
        if ($this->filler) {
            $filler = new MattressFiller($lying, $site->make, $site->terms->materials->for(Purpose::Top)->thickness->toDouble());
            $parts[] = $filler->build();
            $lying = $filler->left();
        }

        return Assembly::all(...[...$parts, new Assembly([], [], [], ['Deck over the floor' => $this->deckAt($site)], (new BedRoom($sizes, $lying))->findings(), fixtures: [$lying->fixture()])]);
    }

    /** Over the datum: as chosen, or so that one lies as high as one sits, no higher than its place; over other cells, as low as its rails let it. */
    private function deckAt(CellSite $site): Working
    {
        $rules = $site->terms->rules;
        if ($this->deck !== null) {
            return Working::start('as chosen', $this->deck);
        }
        if ($site->floor() > 1.0) {
            $rail = $site->terms->materials->for(Purpose::Rail);

            return Working::start('foot of its place', Length::ofDouble($site->floor()))->plus('rail', BedSizes::high($rail, $rules))->plus('slat', $site->terms->materials->for(Purpose::Slat)->thickness)->roundedUp($site->terms->format);
        }

        return Working::start('one lies as high as', $rules->either(...self::LIES))->minus('mattress', $this->thickness)->atMost('top of its place', Length::ofDouble($site->cell->z + min($site->cell->left, $site->cell->right)));
    }

    /** Where its curtain hangs: under its own deck where one lives there, under its roof, or under the ceiling; over the datum, mm. */
    private function curtainRail(CellSite $site, BedSizes $sizes): float
    {
        $cell = $site->cell;

        return match (true) {
            $sizes->deck > BedRoom::HIGH => $sizes->zl,
            $this->canopy => $this->roof->minus($this->rib)->toDouble(),
            default => min(array_map(fn (float $u) => $site->run->frame->ceilingAt($u, $cell->face), [$cell->u, $cell->end()])),
        };
    }

    /** @return list<Assembly> a drawer between each two posts */
    private function below(CellSite $site, BedSizes $sizes): array
    {
        $skirting = $site->terms->rules->skirtingStays && $this->off->isZero() ? max(0.0, $site->run->frame->skirtingThickness()) : 0.0;
        $drawers = [];
        for ($i = 1; $this->drawers && $i < $sizes->posts; $i++) {
            $drawer = new CastorDrawer($site, $i, $sizes->field, Working::start('under the rails', Length::ofDouble($sizes->zl)), Working::start('behind the front board', Length::ofDouble($sizes->front())));
            $drawers[] = $drawer->build($sizes->from() + $sizes->postAt($i - 1) + $sizes->lh->toDouble(), $sizes->back, $skirting);
        }

        return $drawers;
    }
}
