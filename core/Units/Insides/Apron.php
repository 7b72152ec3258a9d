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
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * A deep bin: an apron closes the lower part of the opening in front, and a false bottom on cleats may lift what would lie out of
 * reach, over the whole depth or from the back to a riser.
 */
#[About('apron', 'Bin with an apron', 'Closed low in front; things lie in it as in a chest.', 'Storage')]
final readonly class Apron implements InsideUnit
{
    /** A hand passes over the apron, mm. */
    private const OVER = 200.0;

    private const LEAST = 60.0;

    /** The floor of a bin that lies deeper than this below its edge is out of reach, mm. */
    private const REACH = 600.0;

    public function __construct(
        #[Size('Height of the apron', ['300', '12'], 60, 900)] public Length $apron,
        #[Size('False bottom at', null, 60, 900, 'Height of its upper face; none unless chosen.')] public ?Length $bottom = null,
        #[Size('Depth of the false bottom', null, 150, 1200, 'From the back; all of it unless chosen.')] public ?Length $deep = null,
        #[Toggle('It lifts out', true)] public bool $loose = true,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        return new OpeningDemand(
            Extent::atLeast(Length::ofMillimetres(200), 'a bin needs %s'),
            Extent::atLeast($this->apron->plus(Length::ofDouble(self::OVER)), 'a bin and a hand over its edge need %s'),
            Extent::atLeast(Length::ofMillimetres(200), 'a bin needs %s'),
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
        $high = $this->apron->toDouble();
        if ($high + self::OVER > $site->height()->result->toDouble()) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('An apron of %s leaves %s over it; a hand needs %s.', $terms->format->write($this->apron), $terms->write(max(0.0, $site->height()->result->toDouble() - $high)), $terms->write(self::OVER)), $site->opening->tierId)->withWaysOut([...$this->lower($site), $site->emptied()])]);
        }
        $front = $site->front();
        $piece = $site->make->inner('apron', 'Apron', $site->joints()->between($site->width()), Working::start('height of the apron', $this->apron), Purpose::Carcass, Grain::Length, [new Finished('upper, long', Finish::Banded)], [$site->joints()->words()], null, $site->mark('apron'));
        $in = ($piece->length->result->toDouble() - $site->width()->result->toDouble()) / 2;
        $placed = $site->placed($piece, $in > 0.0 ? -$in : 0.0, $front - $thick, 0.0, Way::Right, Way::Up, Way::Out, Part::Body);
        $findings = [];
        $floor = $this->bottom === null ? 0.0 : min($this->bottom->toDouble(), $high);
        if ($high - $floor > self::REACH) {
            $at = $this->apron->minus(Length::ofMillimetres(450));
            $findings[] = Finding::warning(Code::BinDeep, sprintf('The floor of the bin lies %s below its edge: out of reach. A false bottom lifts it.', $terms->write($high - $floor)), $site->opening->tierId)->withWaysOut([new WayOut(sprintf('Put a false bottom at %s', $terms->format->write($at)), Edits::tier($site->opening->tierId)->measuring('with.bottom', $at))]);
        }

        return Assembly::all(
            new Assembly([$placed], $site->fixed($piece, 'aprons to the sides'), findings: $findings),
            $this->bottom === null ? new Assembly([]) : $this->floor($site, $this->bottom, $front - $thick),
        );
    }

    /** @return list<WayOut> */
    private function lower(OpeningSite $site): array
    {
        $most = $site->height()->result->minus(Length::ofDouble(self::OVER))->roundedDown($site->terms->format->step);

        return $most->toDouble() < self::LEAST ? [] : [new WayOut(sprintf('Make the apron %s high', $site->terms->format->write($most)), Edits::tier($site->opening->tierId)->measuring('with.apron', $most))];
    }

    /** A floor on cleats at a height, from the back or a nailer before it to the apron, or to a riser. */
    private function floor(OpeningSite $site, Length $at, float $apron): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->carcass->thickness;
        $thick = $t->toDouble();
        $top = $at->toDouble();
        $cleat = $terms->rules->get(Rule::CleatWidth);
        $low = $top - $thick - $cleat->toDouble();
        $behind = $site->nailerBetween($low, $top);
        $isPart = $this->deep !== null && $this->deep->toDouble() < $apron - 1.0;
        $deep = $isPart ? Working::start('depth as chosen', $this->deep ?? Length::zero()) : Working::start('from the back to the apron', Length::ofDouble($apron));
        $board = $behind > 0.0 ? $deep->minus('a nailer behind', Length::ofDouble($behind)) : $deep;
        if ($low < 0.0 || $board->result->toDouble() < self::LEAST || $top > $site->height()->result->toDouble() - self::OVER) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('A false bottom at %s has no room for its cleats below, or for a hand above.', $terms->format->write($at)), $site->opening->tierId)->withWaysOut([new WayOut('Leave the false bottom out', Edits::tier($site->opening->tierId)->setting(['bottom' => null])), $site->emptied()])]);
        }
        $play = $terms->rules->either(3, 1 / 8);
        $length = $this->loose ? $site->width()->minus('play, so that it lifts out', $play) : $site->width();
        $floor = $site->make->inner('false-bottom', 'False bottom', $length, $board, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], [$this->loose ? 'loose on cleats, with a hole for a finger' : 'screwed down to cleats'], null, $site->mark('false-bottom'));
        $clear = $site->width()->result->toDouble();
        $x = $this->loose ? $play->toDouble() / 2 : 0.0;
        $placed = [$site->placed($floor, $x, $behind, $top - $thick, Way::Right, Way::Out, Way::Up, Part::Loose)];
        $end = $behind + $floor->width->result->toDouble();
        $joints = [];
        if ($isPart) {
            $riser = $site->make->inner('riser', 'Riser', $site->joints()->between($site->width()), Working::start('height of the false bottom', $at)->minus('its board', $t), Purpose::Carcass, Grain::Length, [], [$site->joints()->words()], null, $site->mark('riser'));
            $in = max(0.0, ($riser->length->result->toDouble() - $clear) / 2);
            $placed[] = $site->placed($riser, -$in, $end - $thick, 0.0, Way::Right, Way::Up, Way::Out, Part::Body);
            $joints = $site->fixed($riser, 'risers to the sides');
        }
        $side = Working::start('depth of the false bottom', $board->roundedDown($terms->format)->result)->minus('a cleat behind', $t);
        $side = $isPart ? $side->minus('the riser', $t) : $side;
        $wide = Working::start('width of a cleat', $cleat);
        $make = fn (string $role, string $name, Working $long) => $site->make->inner($role, $name, $long, $wide, Purpose::Carcass, Grain::Length, [], ['screwed on'], null, $site->mark($role));
        $z = $top - $thick - $wide->result->toDouble();
        $back = $make('floor-cleat-back', 'Back cleat', $site->width()->minusTimes('two cleats', 2, $t));
        $left = $make('floor-cleat-L', 'Side cleat', $side);
        $right = $make('floor-cleat-R', 'Side cleat', $side);
        $placed[] = $site->placed($back, $thick, $behind, $z, Way::Right, Way::Up, Way::Out, Part::Cleat);
        $placed[] = $site->placed($left, 0.0, $behind + $thick, $z, Way::Out, Way::Up, Way::Right, Part::Cleat);
        $placed[] = $site->placed($right, $clear - $thick, $behind + $thick, $z, Way::Out, Way::Up, Way::Right, Part::Cleat);
        [$boardL, $boardR] = $site->beside();
        array_push($joints, new Joint($left->key, $boardL, JointKind::Screws, 'cleats under floors'), new Joint($right->key, $boardR, JointKind::Screws, 'cleats under floors'));
        if (! $this->loose) {
            array_push($joints, new Joint($floor->key, $left->key, JointKind::Screws, 'floors on cleats'), new Joint($floor->key, $right->key, JointKind::Screws, 'floors on cleats'));
        }

        return new Assembly($placed, $joints);
    }
}
