<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Sizes;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Strength\ShelfLoad;
use Incastro\Units\Assembly;
use Incastro\Units\Halves;
use Incastro\Units\InsideUnit;
use Incastro\Units\Make\MovableShelf;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\ShelfForm;
use Incastro\Units\ShelfLip;
use Incastro\Units\ShelfSupport;
use Incastro\Units\Sites\OpeningSite;

/** Fixed and adjustable shelves at equal clear spacing (handbook, "Units and their sums"): those that move on pins, on cleats or on bars; plain or slatted. */
#[About('shelves', 'Shelves', 'Boards at heights, in a box that is carried in whole.', 'Storage', isCommon: true)]
final readonly class Shelves implements InsideUnit, Halves
{
    private const LOWEST_OPENING = 100;

    /** Height of the strip along the front where none is given, mm. */
    private const STRIP = 38;

    /** @param list<Length> $spacing */
    public function __construct(
        #[Count('Fixed shelves', 0, 0, 20)] public int $fixed,
        #[Count('Adjustable shelves', 2, 0, 20)] public int $adjustable,
        #[Made('Made of', Purpose::Shelf)] public ?string $made = null,
        #[Choice('Adjustable ones lie on', ShelfSupport::Pins)] public ShelfSupport $support = ShelfSupport::Pins,
        #[Choice('Each is', ShelfForm::Plain)] public ShelfForm $form = ShelfForm::Plain,
        #[Size('Width of a slat', ['45', '1 3/4'], 20, 100)]
        #[When('form', ShelfForm::Slatted)]
        public ?Length $slat = null,
        #[Size('Gap between slats, at most', ['20', '3/4'], 5, 60)]
        #[When('form', ShelfForm::Slatted)]
        public ?Length $gap = null,
        #[Choice('Strip along the front', ShelfLip::None)] public ShelfLip $lip = ShelfLip::None,
        #[Size('Height of that strip', ['38', '1 1/2'], 18, 100, 'Stiffens a long shelf.')]
        #[Unless('lip', ShelfLip::None)]
        public ?Length $strip = null,
        #[Choice('Carries', ShelfLoad::Linen)] public ShelfLoad $load = ShelfLoad::Linen,
        #[Sizes('Clear heights from the foot up', 20, 100, 2400, 'Those not given share what is left: 300; 350')] public array $spacing = [],
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        $materials = $materials->using(Purpose::Shelf, $this->made);
        $count = $this->fixed + $this->adjustable;
        $hand = Length::ofMillimetres(self::LOWEST_OPENING);

        return new OpeningDemand(
            Extent::atLeast($hand, 'a hand needs %s'),
            Extent::atLeast($materials->for(Purpose::Shelf)->thickness->times($count)->plus($hand->times($count + 1)), 'hands between the shelves need %s'),
            Extent::atLeast($rules->get(Rule::LeastDepth), 'things fall off a shelf of less than %s'),
        );
    }

    public function cleared(string $tier): WayOut
    {
        return new WayOut('Take its shelves out', Edits::tier($tier)->setting(['fixed' => 0, 'adjustable' => 0]));
    }

    public function halved(): array
    {
        $upper = ['fixed' => intdiv($this->fixed, 2), 'adjustable' => intdiv($this->adjustable, 2)];

        return [['fixed' => $this->fixed - $upper['fixed'], 'adjustable' => $this->adjustable - $upper['adjustable']], $upper];
    }

    /** clear = (inner height − n·t) / (n + 1); what rounding leaves over goes to the top opening. */
    public function build(OpeningSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Shelf, $this->made);
        $count = $this->fixed + $this->adjustable;
        if ($count === 0) {
            return new Assembly([]);
        }
        $spacing = $this->spacing($site, $count);
        $clears = $this->clears($site, $count, $spacing);
        if (min($clears) <= 0.0) {
            return new Assembly([], findings: [$this->tooClose($site, $spacing)]);
        }
        $t = $site->terms->materials->for(Purpose::Shelf)->thickness->toDouble();
        $maker = new MovableShelf($site, $this->support, $this->form, $this->lip, $this->strip ?? Length::ofMillimetres(self::STRIP), $this->slat ?? Length::ofMillimetres(45), $this->gap ?? Length::ofMillimetres(20));
        $parts = $findings = $uses = $bearings = [];
        $fixed = $this->fixedPlaces($count);
        foreach (range(1, $count) as $i) {
            $isFixed = in_array($i, $fixed, true);
            $mark = $site->next('shelf');
            $z = array_sum(array_slice($clears, 0, $i)) + ($i - 1) * $t;
            $z = $isFixed ? $z : $maker->height($z);
            $depth = $isFixed ? $site->depthAt($z, $t) : $maker->behindLip($site->depthAt($z, $t));
            if ($depth->result->toDouble() < $site->terms->rule(Rule::LeastDepth)) {
                $findings = [$this->tooShallow($site, $depth)];
                if ($depth->result->toDouble() < 2 * $t) {
                    continue;
                }
            }
            $parts[] = $made = $isFixed ? $this->fixed($site, $i, $depth, $z, $mark) : $maker->build($i, $depth, $z, $mark);
            $bearings = [...$bearings, ...($this->form === ShelfForm::Slatted && ! $isFixed ? [] : $this->bearing($site, $made->placed[0], $isFixed))];
            if (! $isFixed && $this->support === ShelfSupport::Pins && $this->form === ShelfForm::Plain) {
                $uses[] = $site->play('play of a shelf', [$made->placed[0]->piece->key.'.length' => -1.0], 1.0, 2.0 + $site->terms->rule(Rule::ShelfPlay), 'The shelf does not drop in between its sides, or slips off its pins.');
            }
        }
        if ($this->adjustable > 0) {
            $parts[] = $maker->battens();
        }
        if (min($clears) < self::LOWEST_OPENING - 1e-6) {
            $findings[] = $this->tooClose($site, $spacing);
        }

        return Assembly::all(...[...$parts, new Assembly([], [], [], ['Clear between shelves, '.$site->name() => $spacing], $findings, uses: $uses, bearings: $bearings)]);
    }

    private function fixed(OpeningSite $site, int $i, Working $depth, float $z, string $mark): Assembly
    {
        $piece = $site->make->inner("shelf-$i", 'Fixed shelf', $site->joints()->between($site->width()), $depth, Purpose::Shelf, Grain::Length, [new Finished('front, long', Finish::Banded)], [$site->joints()->words()], null, $mark);

        return new Assembly([$site->level($piece, $z, Part::Body)], $site->fixed($piece, 'fixed shelves to the sides'));
    }

    /**
     * Between the sides. A strip along its front counts where a cleat carries its back: a free edge behind sags as before.
     *
     * @return list<Bearing> none where nobody said what it is made of
     */
    private function bearing(OpeningSite $site, Placed $shelf, bool $isFixed): array
    {
        [$of, $frame] = [$site->terms->materials->for(Purpose::Shelf), $site->terms->materials->frame];
        if ($of->wood === null) {
            return [];
        }
        $board = new Board($of->wood->strength(), $of->density, $shelf->piece->width->result->toDouble(), $of->thickness->toDouble(), $site->width()->result->toDouble(), $this->load->aMetre());
        $strip = $frame->wood === null || $this->fixed > 0 ? null : [$frame->thickness->toDouble(), $frame->wood->strength()];
        if ($strip !== null && ! $isFixed && $this->support === ShelfSupport::Cleats && $this->lip !== ShelfLip::None) {
            $board = $board->stiffened($strip[0], ($this->strip ?? Length::ofMillimetres(self::STRIP))->toDouble(), $strip[1], $this->lip === ShelfLip::Under ? $board->thick : 0.0);
        }

        return [new Bearing($shelf->piece->mark, $site->opening->tierId, $board, $this->load->words(), Edits::tier($site->opening->tierId), 'made', new WayOut('Split the bay in two', Edits::action('split-bay', $bay = $site->bay(), "stiff-$bay")), $strip, ['support' => ShelfSupport::Cleats->value, 'lip' => ShelfLip::Under->value])];
    }

    private function spacing(OpeningSite $site, int $count): Working
    {
        $left = $site->height()->minusTimes($count === 1 ? 'one shelf' : "$count shelves", $count, $site->terms->materials->for(Purpose::Shelf)->thickness);
        $given = array_slice($this->spacing, 0, $count);
        $left = $given === [] ? $left : $left->minus('clear heights as chosen', array_reduce($given, fn (Length $all, Length $one) => $all->plus($one), Length::zero()));

        return $left->dividedBy('equal openings', $count + 1 - count($given))->roundedDown($site->terms->format);
    }

    /**
     * Clear heights from the foot up: those that were given, and the others alike; what rounding leaves over goes to the top one.
     *
     * @return non-empty-list<float> mm
     */
    private function clears(OpeningSite $site, int $count, Working $spacing): array
    {
        $clears = array_map(fn (Length $one) => $one->toDouble(), array_slice($this->spacing, 0, $count));
        $clears = [...$clears, ...array_fill(0, $count - count($clears), $spacing->result->toDouble())];
        $t = $site->terms->materials->for(Purpose::Shelf)->thickness->toDouble();

        return [...$clears, $site->height()->result->toDouble() - array_sum($clears) - $count * $t];
    }

    /**
     * Fixed shelves stand as evenly as they can among all of them.
     *
     * @return list<int> from 1
     */
    private function fixedPlaces(int $count): array
    {
        return array_map(fn (int $k) => (int) round($k * ($count + 1) / ($this->fixed + 1)), $this->fixed === 0 ? [] : range(1, $this->fixed));
    }

    private function tooClose(OpeningSite $site, Working $spacing): Finding
    {
        $least = Length::ofMillimetres(self::LOWEST_OPENING);
        if ($this->spacing !== []) {
            return Finding::clash(Code::ShelvesTooClose, sprintf('With the clear heights that were chosen %s are left over them; %s is the least that a hand gets into.', $site->terms->format->write($spacing->result), $site->terms->format->write($least)), $site->opening->tierId)
                ->withWaysOut([new WayOut('Let all openings be alike', Edits::tier($site->opening->tierId)->setting(['spacing' => null]))]);
        }
        $fits = max(0, (int) floor(($site->opening->height->result->toDouble() - self::LOWEST_OPENING) / (self::LOWEST_OPENING + $site->terms->materials->for(Purpose::Shelf)->thickness->toDouble())));
        $fixed = min($fits, $this->fixed);

        return Finding::clash(Code::ShelvesTooClose, sprintf('%d shelves leave openings of %s; %s is the least that a hand gets into. Take some out.', $this->fixed + $this->adjustable, $site->terms->format->write($spacing->result), $site->terms->format->write($least)), $site->opening->tierId)
            ->withWaysOut([new WayOut($fits === 1 ? 'Keep 1 shelf' : "Keep $fits shelves", Edits::tier($site->opening->tierId)->setting(['fixed' => $fixed, 'adjustable' => $fits - $fixed]))]);
    }

    private function tooShallow(OpeningSite $site, Working $depth): Finding
    {
        $least = $site->terms->rules->get(Rule::LeastDepth);

        return Finding::clash(Code::TooShallow, sprintf('A shelf here is %s deep; things fall off one of less than %s.', $site->terms->format->write($depth->result->roundedDown($site->terms->format->step)), $site->terms->format->write($least)), $site->opening->tierId)
            ->withWaysOut([
                $site->deeper($least->minus($depth->result)),
                $this->cleared($site->opening->tierId),
            ]);
    }
}
