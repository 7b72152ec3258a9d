<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Under;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\ScribedOutline;
use Incastro\Units\Make\ShimPack;
use Incastro\Units\Make\StackedSkirting;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\PlinthFront;
use Incastro\Units\Sites\MemberSite;

/**
 * A separate plinth, levelled to the highest floor point: two long rails, cross-bearers at its ends, under every joint of the
 * boxes on it and no further apart than the rule, shims by the floor's fall, and a toe board scribed to the floor.
 */
#[About('plinth', 'Plinth', 'A frame under boxes, levelled to the highest point of the floor.', 'Boards', 'P')]
final readonly class Plinth implements MemberUnit
{
    /** Skirting of a room that has none yet, mm and inches. */
    private const SKIRTING = [145.0, 5.5];

    public function __construct(
        #[Size('Stands out before its boxes', null, 60, 400, 'As a step along their feet; usually set back for toes.')] public ?Length $ledge,
        #[Choice('Closed in front by', PlinthFront::Toe)] public PlinthFront $front,
        #[Size('Lowest layer', null, 60, 300, 'As high as the skirting of the room, where nothing is given.')]
        #[When('front', PlinthFront::Stacked)]
        public ?Length $lowest,
        #[Size('Stock of the layers over it', ['95', '3 1/2'], 40, 240)]
        #[When('front', PlinthFront::Stacked)]
        public Length $stock,
        #[Size('Bead over the seams', ['16', '5/8'], 0, 30, '0: they are filled and painted.')]
        #[When('front', PlinthFront::Stacked)]
        public Length $bead,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Under;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($rules->get(Rule::PlinthHeight), $this->ledge ?? Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $plinth = $site->place;
        if (! $plinth instanceof Under) {
            return new Assembly([]);
        }
        $t = $site->terms->board();
        // What boxes stand on ends with them where a ledge lies before.
        $body = $plinth->ledge->isZero() ? $plinth->depth : $plinth->depth->minus('the ledge before the boxes', $plinth->ledge);
        $depth = $body->result->toDouble();
        $v = $plinth->v;
        $high = Working::start('plinth height', $plinth->height);
        $placed = $joints = [];
        foreach (['front' => $v + $depth - $t, 'back' => $v] as $at => $from) {
            $rail = $site->make->inner("rail-$at", 'Plinth rail', $plinth->length, $high, Purpose::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
            $placed[] = new Placed($rail, Pose::at($plinth->u, $from, 0.0, Way::Right, Way::Up, Way::Out), Part::Plinth, $plinth->id);
        }
        $between = $body->minusTimes('two rails', 2, $site->terms->materials->carcass->thickness);
        foreach (self::bearers($site, $plinth) as $i => $u) {
            $bearer = $site->make->inner('bearer-'.($i + 1), 'Plinth bearer', $between, $high, Purpose::Carcass, Grain::Any, [], ['between the rails']);
            $placed[] = new Placed($bearer, Pose::at($u, $v + $t, 0.0, Way::Out, Way::Up, Way::Right), Part::Plinth, $plinth->id);
            foreach (['front', 'back'] as $at) {
                $joints[] = new Joint($plinth->id.":rail-$at", $bearer->key, JointKind::Screws, 'plinth rails to bearers');
            }
        }
        if (! $plinth->ledge->isZero()) {
            $ledge = self::ledge($site, $plinth, $v + $depth);
            array_push($placed, ...$ledge->placed);
            array_push($joints, ...$ledge->joints);
        }
        if ($this->front === PlinthFront::Stacked && $plinth->ledge->isZero()) {
            [$layers, $findings] = $this->stacked($site, $plinth);
            $nailed = array_map(fn (Placed $layer): Joint => new Joint($layer->piece->key, $plinth->id.':rail-front', JointKind::Nails, 'skirting to plinths'), array_values(array_filter($layers, fn (Placed $one) => ! str_contains($one->piece->key, ':bead-'))));

            return new Assembly([...$placed, ...$layers], [...$joints, ...$nailed], decisions: self::shims($site, $plinth, $v, $v + $depth), findings: $findings);
        }
        $toe = self::toeBoard($site, $plinth);
        $before = $plinth->ledge->isZero() ? ':rail-front' : ':ledge-rail';
        $joints = $toe === null ? $joints : [...$joints, new Joint($toe->piece->key, $plinth->id.$before, JointKind::Screws, 'toe boards to plinths')];

        return new Assembly($toe === null ? $placed : [...$placed, $toe], $joints, decisions: self::shims($site, $plinth, $v, $v + $depth));
    }

    /** @return array{list<Placed>, list<Finding>} */
    private function stacked(MemberSite $site, Under $plinth): array
    {
        $rules = $site->terms->rules;
        $rooms = $site->run->frame->skirtingTop();
        $lowest = $this->lowest ?? ($rooms > 0.0 ? Length::ofDouble($rooms) : $rules->either(...self::SKIRTING));
        $layers = StackedSkirting::layers($plinth->height, $lowest, $this->stock, $rules, $site->terms->format);
        if ($layers === null) {
            return [[], [Finding::clash(Code::SkirtingAboveBox, sprintf('The skirting stands %s over the foot of the boxes on %s.', $site->terms->format->write($lowest->minus($plinth->height)), $plinth->mark), $plinth->id)->withWaysOut([
                new WayOut('Cut its lowest layer down to the boxes', Edits::member($plinth->id)->setting(['lowest' => ['nm' => $plinth->height->nanometres(), 'typed' => $site->terms->format->finest()->write($plinth->height)]])),
                new WayOut('One toe board', Edits::member($plinth->id)->setting(['front' => PlinthFront::Toe->value])),
            ])]];
        }

        return [(new StackedSkirting($site, $plinth, $this->bead))->build($layers), []];
    }

    /**
     * What goes under each bearer, at its back and at its front, where the floor lies lower than where it is highest.
     *
     * @return array<string, Working>
     */
    private static function shims(MemberSite $site, Under $plinth, float $back, float $front): array
    {
        $shims = [];
        $half = $site->terms->board() / 2;
        foreach (self::bearers($site, $plinth) as $i => $u) {
            foreach (['back' => $back, 'front' => $front] as $at => $v) {
                $pack = ShimPack::under(-$site->run->frame->floorAt($u + $half, $v), $site->terms->rules);
                $shims += $pack === null ? [] : [ShimPack::name(sprintf('%s-bearer-%d', $plinth->mark, $i + 1), $at) => $pack];
            }
        }

        return $shims;
    }

    /** A step before the boxes, its board flush with what they stand on: a rail in front, bearers between, and the board on both. */
    private static function ledge(MemberSite $site, Under $plinth, float $v): Assembly
    {
        $board = $site->terms->materials->carcass->thickness;
        $t = $board->toDouble();
        $toe = $site->terms->materials->frame->thickness;
        $deep = $plinth->ledge->minus($toe)->toDouble();
        // Its toe board stands before it.
        $high = Working::start('plinth height', $plinth->height)->minus('its board', $board);
        $rail = $site->make->inner('ledge-rail', 'Ledge rail', $plinth->length, $high, Purpose::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
        $top = $site->make->inner('ledge', 'Ledge', $plinth->length, Working::start('stands out before the boxes', $plinth->ledge)->minus('its toe board', $toe), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($site->terms->rules->schools->edges))], ['screwed down before the boxes']);
        $placed = [
            new Placed($rail, Pose::at($plinth->u, $v + $deep - $t, 0.0, Way::Right, Way::Up, Way::Out), Part::Plinth, $plinth->id),
            new Placed($top, Pose::at($plinth->u, $v, $plinth->height->toDouble() - $t, Way::Right, Way::Out, Way::Up), Part::Plinth, $plinth->id),
        ];
        $joints = [new Joint($top->key, $rail->key, JointKind::Screws, 'ledges of plinths')];
        $between = Working::start('stands out before the boxes', $plinth->ledge)->minus('its toe board', $toe)->minus('its rail', $board);
        foreach ($deep < 3 * $t ? [] : self::bearers($site, $plinth) as $i => $u) {
            $bearer = $site->make->inner('ledge-bearer-'.($i + 1), 'Ledge bearer', $between, $high, Purpose::Carcass, Grain::Any, [], ['between both rails']);
            $placed[] = new Placed($bearer, Pose::at($u, $v, 0.0, Way::Out, Way::Up, Way::Right), Part::Plinth, $plinth->id);
            array_push($joints, new Joint($rail->key, $bearer->key, JointKind::Screws, 'ledges of plinths'), new Joint($top->key, $bearer->key, JointKind::Screws, 'ledges of plinths'));
        }

        return new Assembly($placed, $joints);
    }

    /** @return non-empty-list<float> u of each bearer's left */
    private static function bearers(MemberSite $site, Under $plinth): array
    {
        $t = $site->terms->board();
        $places = [$plinth->u];
        $joints = array_map(fn (Box $box) => $box->right() - $t / 2, array_slice($plinth->boxes, 0, -1));
        $joints = array_filter($joints, fn (float $u) => $u > $plinth->u + $t && $u < $plinth->end() - 2 * $t);
        foreach ([...$joints, $plinth->end() - $t] as $to) {
            $from = $places[count($places) - 1];
            $steps = max(1, (int) ceil(($to - $from) / $site->terms->rule(Rule::BearerSpacing)));
            for ($k = 1; $k <= $steps; $k++) {
                $places[] = $from + ($to - $from) * $k / $steps;
            }
        }

        return $places;
    }

    private static function toeBoard(MemberSite $site, Under $plinth): ?Placed
    {
        $edge = $site->scribed(Side::Foot);
        if ($edge?->scribe === null) {
            return null;
        }
        $height = Working::start('plinth height', $plinth->height)->plus('overhang to scribe to the floor', $edge->scribe->blank());
        $high = $plinth->height->toDouble();
        $outline = ScribedOutline::of($edge->gap, $high, 0.0, $plinth->length->result->toDouble());
        $piece = $site->make->covering('toe-board', 'Toe board', $plinth->length, $height, Purpose::Frame, new Outline($outline), [new Scribed('lower, long', Side::Foot)]);

        $front = $plinth->front() - ($plinth->ledge->isZero() ? 0.0 : $piece->thickness->toDouble());

        return new Placed($piece, Pose::at($plinth->u, $front, $high, Way::Right, Way::Down, Way::Out), Part::Plinth, $plinth->id);
    }
}
