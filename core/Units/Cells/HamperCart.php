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
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\HamperForm;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Sites\CellSite;

/**
 * A laundry hamper that rolls out on castors behind a front in line with its neighbours': a bin, or a bag on two rods. Its front is
 * hung on slotted brackets, so that it is set when the cart stands home, and keeps off the floor by more than this falls.
 */
#[About('hamper-cart', 'Laundry hamper', 'Rolls out on castors behind a front of its own.', 'Storage', 'K')]
final readonly class HamperCart implements CellUnit
{
    /** Battens on the floor that keep it straight; mm and inches. */
    private const GUIDE = [20.0, 3 / 4];

    private const BEHIND = [10.0, 3 / 8];

    private const OVER = [12.0, 1 / 2];

    /** Rods of a bag: from both sides of it, under the heads of the ends, and thick; mm and inches. */
    private const ROD_IN = [30.0, 1.25];

    private const ROD_DOWN = [60.0, 2.375];

    private const ROD = [20.0, 3 / 4];

    /** Low sides of a cart with a bag, mm and inches. */
    private const SILL = [120.0, 4.75];

    /** A front keeps off a floor that falls by so much more, mm. */
    private const SCRAPE = 3.0;

    private const BRACKETS = 4;

    private const CASTORS = 4;

    public function __construct(
        #[Choice('Holds the laundry in', HamperForm::Bin)] public HamperForm $form,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Size('Front over the floor', ['10', '3/8'], 8, 25)] public Length $gap,
        #[Size('Height of its castors', ['65', '2 9/16'], 30, 125)] public Length $castor,
        #[Toggle('Guides on the floor', true)] public bool $guides,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::between($rules->either(250, 10), $rules->either(700, 28), 'a hamper needs %s'),
            Extent::atLeast($rules->either(400, 16), 'a hamper needs %s'),
            Extent::atLeast($rules->either(300, 12), 'a hamper needs %s'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $terms = $site->terms;
        $cell = $site->cell;
        if ($site->floor() > self::SCRAPE) {
            return new Assembly([], findings: [Finding::clash(Code::CartJams, sprintf('A hamper rolls on the floor; this place begins %s over it. Take the plinth away under it.', $terms->write($site->floor())), $cell->tier->id)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())])]);
        }
        $t = $terms->materials->carcass->thickness;
        $leaf = $terms->materials->for(Purpose::Front)->thickness;
        $reveal = $terms->rules->get(Rule::DoorReveal);
        $high = Working::start('height of its place', Length::ofDouble(min($cell->left, $cell->right) + $cell->z - $site->floor()));
        $place = Working::start('width of its place', $cell->width->result);
        $width = $place->minusTimes('air beside it', 2, $terms->rules->get(Rule::CartSide))->roundedDown($terms->format);
        $depth = Working::start('depth of its place', Length::ofDouble($cell->face - $cell->back))->minus('its front', $leaf)->minus('free behind it', $terms->rules->either(...self::BEHIND))->roundedDown($terms->format);
        $ends = $high->minus('castors', $this->castor)->minus('air over it', $terms->rules->either(...self::OVER))->roundedDown($terms->format);
        $inside = Working::start('depth of the cart', $depth->result)->minusTimes('two ends', 2, $t)->roundedDown($terms->format->fine());
        $wide = $width->result->toDouble();
        $deep = $depth->result->toDouble();
        $thick = $t->toDouble();
        $front = $site->make->moving('face', 'Hamper front', $high->minus('gap over it', $reveal)->minus('over the floor', $this->gap), $place->minusTimes('gap left and right', 2, $reveal), Purpose::Front, Grain::Length, [new Finished('all four', Finish::Banded)], ['on slotted brackets, set with the cart home']);
        [$u, $z] = [$cell->u + ($cell->width->result->toDouble() - $wide) / 2, $site->floor() + $this->castor->toDouble()];
        $v = $cell->face - $leaf->toDouble() - $deep;
        $put = fn (string $role, string $name, Working $length, Working $across, float $x, float $y, float $up, Way $l, Way $w, Way $d) => new Placed(
            $site->make->moving($role, $name, $length, $across, Purpose::Carcass, Grain::Length, [new Finished('upper', Finish::Banded)], ['on castors'], $role),
            Pose::at($u + $x, $v + $y, $z + $up, $l, $w, $d),
            Part::Loose,
            $cell->tier->id,
        );
        $placed = [
            $back = $put('end-back', 'Cart end', $ends, $width, 0.0, 0.0, 0.0, Way::Up, Way::Right, Way::Out),
            $before = $put('end-front', 'Cart end', $ends, $width, 0.0, $deep - $thick, 0.0, Way::Up, Way::Right, Way::Out),
        ];
        $side = $this->form === HamperForm::Bin ? Working::start('height of the ends', $ends->result) : Working::start('height of a low side', $terms->rules->either(...self::SILL));
        $bottom = $put('bottom', 'Cart bottom', $inside, Working::start('width of the cart', $width->result)->minusTimes('two sides', 2, $t), $thick, $thick, 0.0, Way::Out, Way::Right, Way::Up);
        $joints = [];
        foreach (['L' => 0.0, 'R' => $wide - $thick] as $hand => $x) {
            $placed[] = $one = $put("side-$hand", 'Cart side', $inside, $side, $x, $thick, 0.0, Way::Out, Way::Up, Way::Right);
            array_push($joints, new Joint($one->piece->key, $back->piece->key, JointKind::Pocket, 'carts'), new Joint($one->piece->key, $before->piece->key, JointKind::Pocket, 'carts'), new Joint($bottom->piece->key, $one->piece->key, JointKind::Pocket, 'carts'));
        }
        array_push($placed, $bottom, (new PullPlace($terms, $this->pull))->onPullOut(new Placed($front, Pose::at($cell->u + $reveal->toDouble(), $cell->face - $leaf->toDouble(), $site->floor() + $this->gap->toDouble(), Way::Up, Way::Right, Way::Out), Part::Face, $cell->tier->id), $front->length->result->toDouble()));
        $moving = array_map(fn (Placed $one) => $one->piece->key, $placed);
        $joints[] = new Joint($before->piece->key, $front->key, JointKind::Screws, 'hamper fronts');
        $guide = $terms->rules->either(...self::GUIDE)->toDouble();
        $swept = [
            new Block($u, $u + $wide, $v, $v + 2 * $deep, $z, $z + $ends->result->toDouble()),
            new Block($u + $guide, $u + $wide - $guide, $v, $v + 2 * $deep, $site->floor(), $z),
            new Block($cell->u + $reveal->toDouble(), $cell->end() - $reveal->toDouble(), $cell->face - $leaf->toDouble(), $cell->face + $deep + $terms->rule(Rule::PullProjection), $site->floor() + $this->gap->toDouble(), $site->floor() + $this->gap->toDouble() + $front->length->result->toDouble()),
        ];
        $movement = new Movement('Laundry hamper', $cell->tier->id, $moving, array_map(Solid::block(...), $swept), array_map(fn (Block $block) => $block->footprint(), $swept), Motion::slide(Way::Out->vector(), $deep), $deep);

        return new Assembly([...$placed, ...$this->guideStrips($site, $depth, $u - $terms->rule(Rule::CartSide), $v)], $joints, $this->hardware($site, $inside->result), [], $this->findings($site, $deep), [$movement]);
    }

    /** @return list<Placed> battens on the floor outside its castors */
    private function guideStrips(CellSite $site, Working $depth, float $u, float $v): array
    {
        $placed = [];
        $guide = $site->terms->rules->either(...self::GUIDE);
        $square = Working::start('guide batten', $guide);
        foreach ($this->guides ? ['L' => $u, 'R' => $site->cell->end() - ($u - $site->cell->u) - $guide->toDouble()] : [] as $hand => $at) {
            $piece = $site->make->inner("guide-$hand", 'Guide', Working::start('depth of the cart', $depth->result), $square, Purpose::Framing, Grain::Length, [], ['screwed to the floor'], null, "guide-$hand");
            $placed[] = new Placed($piece, Pose::at($at, $v, $site->floor(), Way::Out, Way::Right, Way::Up), Part::Cleat, $site->cell->tier->id);
        }

        return $placed;
    }

    /** @return list<Hardware> */
    private function hardware(CellSite $site, Length $inside): array
    {
        $format = $site->terms->format;
        $rods = $this->form === HamperForm::Bag ? [new Hardware(sprintf('rod Ø %s for a bag, %s in and %s down', $format->write($site->terms->rules->either(...self::ROD)), $format->write($site->terms->rules->either(...self::ROD_IN)), $format->write($site->terms->rules->either(...self::ROD_DOWN))), 2, 'carts', ArticleKind::Rail, $inside)] : [];

        return [
            new Hardware(sprintf('castor %s high', $format->write($this->castor)), self::CASTORS, 'carts', ArticleKind::Castor),
            new Hardware('angle bracket', self::BRACKETS, 'hamper fronts', ArticleKind::AngleBracket),
            ...$this->pull->bought(1, 'drawer fronts'),
            ...$rods,
        ];
    }

    /** @return list<Finding> */
    private function findings(CellSite $site, float $deep): array
    {
        $tier = $site->cell->tier->id;
        $floor = fn (float $v): float => max($site->run->frame->floorAt($site->cell->u, $v), $site->run->frame->floorAt($site->cell->end(), $v));
        $home = min($site->run->frame->floorAt($site->cell->u, $site->cell->back), $site->run->frame->floorAt($site->cell->end(), $site->cell->back), $site->run->frame->floorAt($site->cell->u, $site->cell->face));
        $rises = max(0.0, $floor($site->cell->face) - $home, $floor($site->cell->face + $deep) - $home);
        $findings = [];
        if ($this->gap->toDouble() < $rises + self::SCRAPE) {
            $wanted = Length::ofDouble($rises + self::SCRAPE)->roundedUp($site->terms->format->step);
            $findings[] = Finding::clash(Code::FrontScrapes, sprintf('The floor before it lies %s higher than under it: a front %s over it scrapes.', $site->terms->write($rises), $site->terms->format->write($this->gap)), $tier)
                ->withWaysOut([new WayOut(sprintf('Keep it %s over the floor', $site->terms->format->write($wanted)), Edits::tier($tier)->measuring('with.gap', $wanted))]);
        }

        return $this->guides ? $findings : [...$findings, Finding::warning(Code::RevealWanders, 'Without guides the cart stops a little to the left or the right each time, and the gaps beside its front show it.', $tier)
            ->withWaysOut([new WayOut('Put guides on the floor', Edits::tier($tier)->setting(['guides' => true]))])];
    }
}
