<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
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
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CartLid;
use Incastro\Units\CellUnit;
use Incastro\Units\Contents;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/** A narrow set of shelves on castors that rolls out of a gap beside a machine or under a worktop, with a compartment under its lid. */
#[About('cart', 'Cart', 'Shelves on castors that roll out of a narrow gap.', 'Storage', 'K')]
final readonly class Cart implements CellUnit
{
    /** A cart that leans more than this to tip stands by itself, degrees; how far in its castors stand, mm. */
    private const STEADY = 12.0;

    private const CASTOR_IN = 30.0;

    /** What one castor carries by its height, mm => kg. */
    private const CASTORS = [40 => 25.0, 65 => 40.0, 100 => 60.0];

    private const HAND = 100;

    /** Of four castors three carry on any floor. */
    private const BEAR = 3;

    private const LEAST = 60.0;

    public function __construct(
        #[Count('Shelves between', 2, 0, 6)] public int $shelves,
        #[Choice('Lid', CartLid::Hinged)] public CartLid $lid,
        #[Size('Compartment under it', ['120', '4 3/4'], 60, 300)] public Length $compartment,
        #[Choice('Filled with', Contents::Pantry)] public Contents $use,
        #[Size('Air at each side', Rule::CartSide, 3, 25)] public Length $side,
        #[Size('Free behind it', ['25', '1'], 0, 120, 'For hoses.')] public Length $behind,
        #[Size('Height of its castors', ['65', '2 9/16'], 30, 125)] public Length $castor,
        #[Size('Height of its lid', null, 300, 1200, 'Usually a little under what is over it.')] public ?Length $height = null,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::between($rules->either(120, 4.75), $rules->either(700, 28), 'a cart needs %s'),
            Extent::atLeast($this->height ?? Length::ofMillimetres(300), 'a cart needs %s'),
            Extent::atLeast(Length::ofMillimetres(250), 'a cart needs %s'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $terms = $site->terms;
        $cell = $site->cell;
        $t = $terms->materials->carcass->thickness;
        $thin = $terms->materials->for(Purpose::Drawer)->thickness;
        $air = $terms->rules->either(10, 3 / 8);
        $floor = $site->floor();
        $low = min($cell->left, $cell->right) + $cell->z - $floor;
        $upper = $this->height === null ? Working::start('height of its place', Length::ofDouble($low))->minus('air over it', $air) : Working::start('height as chosen', $this->height);
        $width = Working::start('width of its place', $cell->width->result)->minusTimes('air beside it', 2, $this->side)->roundedDown($terms->format);
        $depth = Working::start('depth of its place', Length::ofDouble($cell->face - $cell->back))->minus('free behind it', $this->behind)->roundedDown($terms->format);
        $ends = $upper->minus('castors', $this->castor)->minus('lid', $t)->roundedDown($terms->format);
        $inside = Working::start('depth of the cart', $depth->result)->minusTimes('two ends', 2, $t)->roundedDown($terms->format->fine());
        $clear = Working::start('height of the ends', $ends->result)->minus('compartment', $this->compartment)->minus('bottom', $t)->minusTimes('shelves', $this->shelves + 1, $t)->dividedBy('equal openings', $this->shelves + 1)->roundedDown($terms->format);
        $findings = $this->findings($site, $width, $depth, $clear);
        if ($findings !== []) {
            return new Assembly([], findings: $findings);
        }
        $wide = $width->result->toDouble();
        [$u, $v, $z] = [$cell->u + ($cell->width->result->toDouble() - $wide) / 2, $cell->face - $depth->result->toDouble(), $floor + $this->castor->toDouble()];
        $put = fn (string $role, string $name, Working $length, Working $across, float $x, float $y, float $up, Way $l, Way $w, Way $d, Purpose $purpose = Purpose::Carcass) => new Placed(
            $site->make->moving($role, $name, $length, $across, $purpose, Grain::Length, [new Finished('both long', Finish::Banded)], ['on castors'], $role),
            Pose::at($u + $x, $v + $y, $z + $up, $l, $w, $d),
            Part::Loose,
            $cell->tier->id,
        );
        $deep = $depth->result->toDouble();
        $thick = $t->toDouble();
        $high = $ends->result->toDouble();
        $back = $put('end-back', 'Cart end', $ends, $width, 0.0, 0.0, 0.0, Way::Up, Way::Right, Way::Out);
        $front = $put('end-front', 'Cart end', $ends, $width, 0.0, $deep - $thick, 0.0, Way::Up, Way::Right, Way::Out);
        $placed = [$back, $front];
        $joints = [];
        $shelf = $width->minusTimes('guard rails', 2, $thin);
        $long = $inside->result->toDouble();
        $rail = Working::start('height of a guard rail', $terms->rules->either(60, 19 / 8));
        $feet = [0.0];
        for ($i = 1; $i <= $this->shelves; $i++) {
            $feet[] = $thick + $i * $clear->result->toDouble() + ($i - 1) * $thick;
        }
        $feet[] = $high - $this->compartment->toDouble();
        foreach ($feet as $i => $foot) {
            $isTop = $i === count($feet) - 1;
            $board = $put('shelf-'.($i + 1), $i === 0 ? 'Cart bottom' : 'Cart shelf', $inside, $shelf, $thin->toDouble(), $thick, $foot, Way::Out, Way::Right, Way::Up);
            $placed[] = $board;
            array_push($joints, new Joint($board->piece->key, $back->piece->key, JointKind::Pocket, 'carts'), new Joint($board->piece->key, $front->piece->key, JointKind::Pocket, 'carts'));
            foreach (['L' => 0.0, 'R' => $wide - $thin->toDouble()] as $hand => $x) {
                $edge = $put(($isTop ? 'compartment-' : 'guard-'.($i + 1).'-').$hand, $isTop ? 'Compartment side' : 'Guard rail', $inside, $isTop ? Working::start('height of the compartment', $this->compartment) : $rail, $x, $thick, $foot, Way::Out, Way::Up, Way::Right, Purpose::Drawer);
                $placed[] = $edge;
                $joints[] = new Joint($edge->piece->key, $board->piece->key, JointKind::Screws, 'carts');
            }
        }
        $placed[] = $lid = $put('lid', 'Cart lid', $depth, $width, 0.0, 0.0, $high, Way::Out, Way::Right, Way::Up);
        $moving = array_map(fn (Placed $one) => $one->piece->key, $placed);
        $swept = new Block($u, $u + $wide, $v, $v + 2 * $deep, $floor, $z + $high + $thick);

        return new Assembly($placed, $joints, $this->hardware($site, $placed, $wide, $deep, $high, $lid), ['Clear between shelves of the cart' => $clear], $this->steadiness($site, $wide, $high + $this->castor->toDouble()), [new Movement('Cart', $cell->tier->id, $moving, [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Out->vector(), $deep), $deep)]);
    }

    /** @return list<Finding> what keeps it from being made */
    private function findings(CellSite $site, Working $width, Working $depth, Working $clear): array
    {
        $tier = $site->cell->tier->id;
        $gap = new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied());
        if ($site->floor() > 3.0) {
            return [Finding::clash(Code::CartJams, sprintf('A cart rolls on the floor; this place begins %s over it. Take the plinth away under it.', $site->terms->write($site->floor())), $tier)->withWaysOut([$gap])];
        }
        if (min($width->result->toDouble(), $depth->result->toDouble()) < 2 * self::LEAST) {
            return [Finding::clash(Code::CartJams, sprintf('The cart would be %s wide and %s deep; %s is the least that stands.', $site->terms->format->write($width->result), $site->terms->format->write($depth->result), $site->terms->write(2 * self::LEAST)), $tier)->withWaysOut([$gap])];
        }
        if ($clear->result->toDouble() < self::HAND) {
            return [Finding::clash(Code::ShelvesTooClose, sprintf('Its shelves leave openings of %s; %s is the least that a hand gets into.', $site->terms->write(max(0.0, $clear->result->toDouble())), $site->terms->write(self::HAND)), $tier)->withWaysOut([...($this->shelves > 0 ? [new WayOut($this->shelves === 1 ? 'Leave the shelf out' : 'One shelf less', Edits::tier($tier)->setting(['shelves' => $this->shelves - 1]))] : []), $gap])];
        }

        return [];
    }

    /** @return list<Finding> */
    private function steadiness(CellSite $site, float $wide, float $high): array
    {
        $angle = rad2deg(atan(max(0.0, $wide / 2 - self::CASTOR_IN) / ($high / 2)));

        return $angle >= self::STEADY ? [] : [Finding::warning(Code::CartTips, sprintf('Rolled out, this cart tips when it leans %.1f°: keep heavy things low. It is steady only in its gap.', $angle), $site->cell->tier->id)];
    }

    /**
     * @param  list<Placed>  $placed
     * @return list<Hardware>
     */
    private function hardware(CellSite $site, array $placed, float $wide, float $deep, float $high, Placed $lid): array
    {
        $own = array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $placed));
        $each = ($own + $this->use->density() * $wide * $deep * $high / 1e9) / self::BEAR;
        $class = array_values(array_filter(self::CASTORS, fn (float $kg) => $kg >= $each))[0] ?? max(self::CASTORS);
        $less = $site->terms->rules->either(10, 3 / 8);
        $hinge = $lid->piece->width->result->minus($less)->roundedDown($site->terms->format->step);

        return [
            new Hardware(sprintf('castor %s high, %.0f kg', $site->terms->format->write($this->castor), $class), 4, 'carts', ArticleKind::Castor),
            ...($this->lid === CartLid::Hinged ? [new Hardware('piano hinge '.$site->terms->format->write($hinge), 1, 'carts', ArticleKind::PianoHinge, $hinge), new Hardware('lid stay', 1, 'carts', ArticleKind::LidStay)] : []),
        ];
    }
}
