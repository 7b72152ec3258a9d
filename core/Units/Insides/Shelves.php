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
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Halves;
use Incastro\Units\InsideUnit;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/** Fixed and adjustable shelves at equal clear spacing (handbook, "Units and their sums"). */
#[About('shelves', 'Shelves', 'Boards at heights, in a box that is carried in whole.', 'Storage')]
final readonly class Shelves implements InsideUnit, Halves
{
    private const LOWEST_OPENING = 100;

    public function __construct(
        #[Count('Fixed shelves', 0, 0, 20)] public int $fixed,
        #[Count('Adjustable shelves', 2, 0, 20)] public int $adjustable,
        #[Made('Made of', Purpose::Shelf)] public ?string $made = null,
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
        if (! $spacing->result->isPositive()) {
            return new Assembly([], findings: [$this->tooClose($site, $spacing)]);
        }
        $t = $site->terms->materials->for(Purpose::Shelf)->thickness->toDouble();
        $placed = $joints = $findings = $uses = [];
        $fixed = $this->fixedPlaces($count);
        foreach (range(1, $count) as $i) {
            $isFixed = in_array($i, $fixed, true);
            $mark = $site->next('shelf');
            $z = $i * $spacing->result->toDouble() + ($i - 1) * $t;
            $length = $isFixed ? $site->joints()->between($site->width()) : $site->width()->minus('play, so that it drops in', $site->terms->rules->get(Rule::ShelfPlay));
            $depth = $site->depthAt($z, $t);
            if ($depth->result->toDouble() < $site->terms->rule(Rule::LeastDepth)) {
                $findings = [$this->tooShallow($site, $depth)];
                if ($depth->result->toDouble() < 2 * $t) {
                    continue;
                }
            }
            $piece = $site->make->inner(
                "shelf-$i",
                $isFixed ? 'Fixed shelf' : 'Adjustable shelf',
                $length,
                $depth,
                Purpose::Shelf,
                Grain::Length,
                [new Finished('front, long', Finish::Banded)],
                [$isFixed ? $site->joints()->words() : 'on four pins'],
                null,
                $mark,
            );
            if (! $isFixed) {
                $uses[] = $site->play('play of a shelf', ["$piece->key.length" => -1.0], 1.0, 2.0 + $site->terms->rule(Rule::ShelfPlay), 'The shelf does not drop in between its sides, or slips off its pins.');
            }
            $placed[] = $site->level($piece, $z, $isFixed ? Part::Body : Part::Loose);
            array_push($joints, ...($isFixed ? $site->fixed($piece, 'fixed shelves to the sides') : $site->toSides($piece, JointKind::Pins, 'adjustable shelves')));
        }
        if ($spacing->result->isLessThan(Length::ofMillimetres(self::LOWEST_OPENING))) {
            $findings[] = $this->tooClose($site, $spacing);
        }

        return new Assembly($placed, $joints, [], ['Clear between shelves, '.$site->name() => $spacing], $findings, uses: $uses);
    }

    private function spacing(OpeningSite $site, int $count): Working
    {
        return $site->height()->minusTimes($count === 1 ? 'one shelf' : "$count shelves", $count, $site->terms->materials->for(Purpose::Shelf)->thickness)
            ->dividedBy('equal openings', $count + 1)
            ->roundedDown($site->terms->format);
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
