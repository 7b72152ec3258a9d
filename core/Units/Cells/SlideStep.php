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
use Incastro\Pieces\Piece;
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
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * A step or a stool that slides under something: a body upside down like a drawer, on glides, with boards under its tread where that
 * would bend under a foot. Its tread stands over nothing: a foot on an edge that does tips it.
 */
#[About('slide-step', 'Sliding step', 'A step that slides under what stands over it, on glides.', 'To stand on', 'E')]
final readonly class SlideStep implements CellUnit
{
    /** Higher than this one does not step, mm and inches. */
    private const RISE = [250.0, 10.0];

    /** Lower or narrower than this it is no step, mm. */
    private const LEAST = 100.0;

    /** A wider one stands on six glides, mm. */
    private const WIDE = 600.0;

    public function __construct(
        #[Size('Play at each side', ['6', '1/4'], 3, 20)] public Length $side,
        #[Size('Free over it', ['10', '3/8'], 5, 200)] public Length $over,
        #[Size('Air behind it', ['10', '3/8'], 5, 100)] public Length $behind,
        #[Size('Set back behind the face', ['3', '1/8'], 0, 80)] public Length $back,
        #[Size('Height of its glides', ['8', '3/8'], 3, 15)] public Length $glide,
        #[Size('Tread spans, at most', ['300', '12'], 150, 500)] public Length $span,
        #[Made('Tread of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::atLeast($rules->either(300, 12), 'a step needs %s'),
            Extent::atLeast($rules->either(150, 6), 'a step needs %s'),
            Extent::atLeast($rules->either(250, 10), 'a foot needs %s'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Top, $this->made);
        $terms = $site->terms;
        $cell = $site->cell;
        $tier = $cell->tier->id;
        if ($site->floor() > 3.0) {
            return new Assembly([], findings: [Finding::clash(Code::StepMeets, 'A step slides on the floor; this place begins over it. Take the plinth away under it.', $tier)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied())])]);
        }
        [$t, $tt] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Top)->thickness];
        $skirting = $terms->rules->skirtingStays ? max(0.0, $site->run->frame->skirtingThickness()) : 0.0;
        $wide = Working::start('width of its place', $cell->width->result)->minusTimes('play at each side', 2, $this->side)->roundedDown($terms->format);
        $ceiling = min(array_map(fn (float $at) => $site->run->frame->ceilingAt($at, $cell->back), [$cell->u, $cell->end()]));
        $high = Working::start('height of its place', Length::ofDouble(min($cell->left, $cell->right) + $cell->z))->atMost('the ceiling at the wall', Length::ofDouble(max(0.0, $ceiling)))->minus('play over it', $this->over)->minus('glides', $this->glide)->roundedDown($terms->format);
        $deep = Working::start('depth of its place', Length::ofDouble($cell->face - $cell->back))->minus('set back', $this->back)->minus('air behind', $this->behind);
        $deep = ($skirting > 0.0 ? $deep->minus('skirting behind', Length::ofDouble($skirting)) : $deep)->roundedDown($terms->format);
        [$w, $h, $d] = [$wide->result->toDouble(), $high->result->toDouble(), $deep->result->toDouble()];
        $body = Working::start('height of the body', $high->result)->minus('tread', $tt);
        if (min($w, $d) < 2 * self::LEAST || $body->result->toDouble() < self::LEAST) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('A step here would be %s wide, %s high and %s deep: too little to stand on.', $terms->format->write($wide->result), $terms->format->write($high->result), $terms->format->write($deep->result)), $tier)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied())])]);
        }
        $thick = $t->toDouble();
        $middles = max(0, (int) ceil(($w - $thick) / $this->span->toDouble() - 1e-9) - 1);
        [$u, $v, $z] = [$cell->u + $this->side->toDouble(), $cell->back + $this->behind->toDouble() + $skirting, $this->glide->toDouble()];
        $piece = fn (string $role, string $name, Working $length, Working $across, string $how, Purpose $of = Purpose::Carcass): Piece => $site->make->inner($role, $name, $length, $across, $of, Grain::Length, $of === Purpose::Top ? [new Finished('all four', Finish::Eased)] : [], [$how]);
        $put = fn (Piece $one, float $x, float $y, float $up, Way $l, Way $a, Way $n, Part $part = Part::Loose): Placed => new Placed($one, Pose::at($u + $x, $v + $y, $z + $up, $l, $a, $n), $part, $tier);
        $between = $wide->minusTimes('two sides', 2, $t);
        $glued = 'screwed and glued: pocket screws alone do not hold a step';
        $sides = [$put($piece('side-L', 'Side', $deep, $body, $glued), 0.0, 0.0, 0.0, Way::Out, Way::Up, Way::Right), $put($piece('side-R', 'Side', $deep, $body, $glued), $w - $thick, 0.0, 0.0, Way::Out, Way::Up, Way::Right)];
        $ends = [$put($piece('back', 'Back', $between, $body, $glued), $thick, 0.0, 0.0, Way::Right, Way::Up, Way::Out), $put($piece('front', 'Front', $between, $body, 'a hand slot of 100 × 30 mm or 4 × 1 1/4 in in its upper half'), $thick, $d - $thick, 0.0, Way::Right, Way::Up, Way::Out, Part::Face)];
        $joints = $under = [];
        for ($i = 1; $i <= $middles; $i++) {
            $under[] = $middle = $put($piece("middle-$i", 'Middle board', $deep->minusTimes('front and back', 2, $t), $body, $glued), $i * ($w - $thick) / ($middles + 1), $thick, 0.0, Way::Out, Way::Up, Way::Right);
            array_push($joints, ...array_map(fn (Placed $end) => new Joint($end->piece->key, $middle->piece->key, JointKind::Screws, 'steps'), $ends));
        }
        $tread = $put($piece('tread', 'Tread', $wide, $deep, 'an anti-slip strip along its front', Purpose::Top), 0.0, 0.0, $body->roundedDown($terms->format)->result->toDouble(), Way::Right, Way::Out, Way::Up);
        foreach ($sides as $side) {
            array_push($joints, new Joint($tread->piece->key, $side->piece->key, JointKind::Screws, 'steps'), ...array_map(fn (Placed $end) => new Joint($side->piece->key, $end->piece->key, JointKind::Screws, 'steps'), $ends));
        }
        array_push($joints, ...array_map(fn (Placed $board) => new Joint($tread->piece->key, $board->piece->key, JointKind::Screws, 'steps'), [...$ends, ...$under]));
        $placed = [...$sides, ...$ends, ...$under, $tread];
        $clear = ($w - ($middles + 2) * $thick) / ($middles + 1);

        return new Assembly($placed, $joints, [
            new Hardware('rubber glide '.$terms->format->write($this->glide), $w > self::WIDE ? 6 : 4, 'steps', ArticleKind::Bumper),
        ], ['Rise of the step' => Working::start('height of the body', $high->result)->plus('glides', $this->glide)], $this->findings($site, $h + $this->glide->toDouble(), $clear, $d, $tread), [$this->movement($site, $placed, $d)]);
    }

    /** @return list<Finding> */
    private function findings(CellSite $site, float $rise, float $clear, float $deep, Placed $tread): array
    {
        $tier = $site->cell->tier->id;
        $write = $site->terms->write(...);
        $most = $site->terms->rules->either(...self::RISE);
        $findings = $rise > $most->toDouble() + 0.5 ? [Finding::warning(Code::StepHigh, sprintf('One steps up %s here; more than %s is climbed, by children less.', $write($rise), $site->terms->format->write($most)), $tier)
            ->withWaysOut([new WayOut(sprintf('Leave %s free over it', $write($rise - $most->toDouble() + $this->over->toDouble())), Edits::tier($tier)->measuring('with.over', Length::ofDouble(ceil($rise - $most->toDouble() + $this->over->toDouble()))))])] : [];
        $wood = $tread->piece->material->wood?->strength();
        if ($wood === null) {
            return $findings;
        }
        $deck = new Deck($deep, $tread->piece->thickness->toDouble(), $clear, $wood->along, $wood->bendingAlong, Loads::newtons(Loads::SEAT), Loads::STANDS_ON);
        if (! $deck->isStrong()) {
            $less = Length::ofDouble(max(150.0, floor($clear / 2)));
            $findings[] = Finding::warning(Code::Sags, sprintf('Under a foot its tread is stressed by %.1f of %.0f N/mm² over %s. Guidance for furniture, not for the house.', $deck->stress(), $wood->bendingAlong, $write($clear)), $tier)
                ->withWaysOut([new WayOut('A board under its middle', Edits::tier($tier)->measuring('with.span', $less))]);
        }

        return $findings;
    }

    /** @param non-empty-list<Placed> $placed */
    private function movement(CellSite $site, array $placed, float $travel): Movement
    {
        $around = $placed[0]->bounds;
        foreach (array_slice($placed, 1) as $one) {
            $around = $around->and($one->bounds);
        }
        $swept = new Block($around->u0, $around->u1, $around->v1, $around->v1 + $travel, $around->z0, $around->z1);

        return new Movement('Step', $site->cell->tier->id, array_map(fn (Placed $one) => $one->piece->key, $placed), [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Out->vector(), $travel), $travel);
    }
}
