<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Way;
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
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\InsideUnit;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * A floor that is lifted so that a bag, a basket or an appliance stands at the right height under what is over it: its upper face lies
 * at zb = oh − bag − air, down. A strip closes what is below it.
 */
#[About('raised-floor', 'Raised floor', 'A floor lifted so far that a bag or a basket fits under the top.', 'Storage')]
final readonly class RaisedFloor implements InsideUnit
{
    /** The floor lies no lower than this over the bottom: below it would be packed solid, mm. */
    private const LEAST = 60.0;

    public function __construct(
        #[Size('Height of what stands on it', ['520', '18'], 200, 900)] public Length $bag,
        #[Size('Air over that', ['25', '1'], 10, 60)] public Length $air,
        #[Toggle('A strip closes what is below', true)] public bool $strip,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        return new OpeningDemand(
            Extent::atLeast(Length::ofMillimetres(200), 'a bag needs %s'),
            Extent::atLeast($this->bag->plus($this->air)->plus($materials->carcass->thickness)->plus($rules->either(60, 2.5)), 'the bag, its air and a floor need %s'),
            Extent::atLeast(Length::ofMillimetres(200), 'a bag needs %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->carcass->thickness;
        $thick = $t->toDouble();
        $at = $site->height()->minus('what stands on it', $this->bag)->minus('air over it', $this->air)->roundedDown($terms->format);
        $top = $at->result->toDouble();
        if ($top < self::LEAST) {
            $most = $site->height()->result->minus($this->air)->minus(Length::ofDouble(self::LEAST))->roundedDown($terms->format->step);

            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('What stands on the floor is %s too high for %s.', $terms->write(self::LEAST - $top), $site->box->mark), $site->opening->tierId)
                ->withWaysOut([new WayOut(sprintf('Take one of %s', $terms->format->write($most)), Edits::tier($site->opening->tierId)->measuring('with.bag', $most)), $site->emptied()])]);
        }
        $behind = $site->nailerBetween($top - $thick, $top);
        $deep = $site->depthAt($top - $thick, $thick);
        $floor = $site->make->inner('floor', 'Raised floor', $site->joints()->between($site->width()), $behind > 0.0 ? $deep->minus('a nailer behind', Length::ofDouble($behind)) : $deep, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($terms->rules->schools->edges))], [$site->joints()->words()], null, $site->mark('floor'));
        $in = max(0.0, ($floor->length->result->toDouble() - $site->width()->result->toDouble()) / 2);
        $front = $behind + $floor->width->result->toDouble();
        $placed = [$site->placed($floor, -$in, $behind, $top - $thick, Way::Right, Way::Out, Way::Up, Part::Body)];
        $joints = $site->fixed($floor, 'raised floors to the sides');
        if ($this->strip) {
            $strip = $site->make->inner('strip', 'Strip below the floor', $site->width(), Working::start('height of the floor', $at->result)->minus('its board', $t), Purpose::Carcass, Grain::Length, [], ['closes what is below the floor'], null, $site->mark('strip'));
            $placed[] = $site->placed($strip, 0.0, $front - $thick, 0.0, Way::Right, Way::Up, Way::Out, Part::Body);
            $joints = [...$joints, ...$site->fixed($strip, 'raised floors to the sides')];
        }
        $cleat = $terms->rules->get(Rule::CleatWidth);
        $low = $top - $thick - $cleat->toDouble();
        $back = $site->nailerBetween($low, $top - $thick);
        // A nailer of the box that lies there carries it as well.
        if ($low >= 0.0 && $back <= 0.0 && $behind <= 0.0) {
            $piece = $site->make->inner('cleat-back', 'Back cleat', $site->width(), Working::start('width of a cleat', $cleat), Purpose::Carcass, Grain::Length, [], ['screwed to the sides, under the floor at the back'], null, $site->mark('cleat-back'));
            $placed[] = $site->placed($piece, 0.0, 0.0, $low, Way::Right, Way::Up, Way::Out, Part::Cleat);
            $joints = [...$joints, ...$site->fixed($piece, 'cleats under floors')];
        }

        return new Assembly($placed, $joints, [], ['Raised floor, '.$site->box->mark => $at]);
    }
}
