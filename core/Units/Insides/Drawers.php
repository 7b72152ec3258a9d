<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Block;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Sizes;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\DrawerRun;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Strength\Rolling;
use Incastro\Units\Assembly;
use Incastro\Units\DrawerFill;
use Incastro\Units\InsideUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Make\Runs\Run;
use Incastro\Units\Make\Runs\Runs;
use Incastro\Units\Make\Slides;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Sites\OpeningSite;
use Incastro\Units\SizeUse;

/**
 * Drawers on slides or strips, with fronts inside their edges or over them: what goes in and out passes between the stiles, or the
 * boards of a banded box, so boxes are as wide as these and what they run on leave, all of one length, and each front is lower than the one under it by the grade.
 */
#[About('drawers', 'Drawers', 'Boxes that pull out on slides, each with its front.', 'Storage', isCommon: true)]
final readonly class Drawers implements InsideUnit
{
    /** A box lower than this holds nothing, one higher than that racks; mm. */
    private const LOWEST = 60.0;

    private const HIGHEST = 400;

    /** A wider one binds on one pair of slides. */
    private const WIDEST = 900.0;

    /** A box that stands lower than this stands on the floor, mm. */
    private const ON_FLOOR = 1.0;

    /** Kg. */
    private const USUAL_LOAD = 25;

    /** A front wider than this has two pulls. */
    private const TWO_PULLS = 600.0;

    /** @param list<Length> $heights */
    public function __construct(
        #[Count('Drawers', 3, 1, 10)] public int $count,
        #[Size('Each front higher than the one over it', ['0', '0'], 0, 100)] public Length $grade,
        #[Count('Load in each, kg', self::USUAL_LOAD, 5, 100)]
        #[When('fill', DrawerFill::Stated)]
        public int $load,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Choice('Fronts close', Mount::Inset, without: [Mount::Lipped])] public Mount $mount = Mount::Inset,
        #[Choice('Run on', DrawerRun::Side)] public DrawerRun $run = DrawerRun::Side,
        #[Count('Dividers from side to side', 0, 0, 8)]
        #[Unless('run', DrawerRun::Tray)]
        public int $across = 0,
        #[Count('Dividers from front to back', 0, 0, 8)]
        #[Unless('run', DrawerRun::Tray)]
        public int $along = 0,
        #[Toggle('Each with a front of its own', true, 'Without, they stand behind a door.')] public bool $fronts = true,
        #[Sizes('Heights of the fronts from the top', 10, 40, 600, 'Those not given share what is left: 120; 160')] public array $heights = [],
        #[Choice('Filled with', DrawerFill::Stated)] public DrawerFill $fill = DrawerFill::Stated,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        [$frame, $rails] = FaceFrame::takes($rules, $materials);
        $run = Runs::of($this->run);
        $each = Length::ofDouble($run->lowest())->plus($run->air($rules, true))->plus($rules->get(Rule::PairGap));

        return new OpeningDemand(
            Extent::atLeast($run->narrowest()->plus($frame), 'a drawer between stiles needs %s'),
            Extent::atLeast($each->times($this->count)->plus($rails), 'so many drawers need %s'),
            Extent::atLeast($this->fronts ? $run->shallowest($rules, $materials)->plus($materials->for(Purpose::Front)->thickness) : $run->shallowest($rules, $materials), 'drawers and what they run on need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $refused = $this->refused($site);
        if ($refused !== null) {
            return new Assembly([], findings: [$refused]);
        }
        $site = $this->fronts ? $site : $site->pastLeaf();
        $run = Runs::of($this->run);
        $rules = $site->terms->rules;
        $fronts = $this->faces($site);
        $shares = $this->shares($site, $fronts);
        $lowest = min(array_map(fn (Length $share, int $i) => $share->minus($run->air($rules, $i === 0))->toDouble(), $shares, array_keys($shares)));
        if ($lowest < $run->lowest()) {
            return new Assembly([], findings: [$this->tooLow($site, $run, $lowest)]);
        }
        $places = $this->feet($site, $fronts);
        $behind = max(array_map(fn (float $foot, Working $front) => $site->nailerBetween($foot, $foot + $front->result->toDouble()), $places, $fronts));
        $free = $this->clear($site)
            ->minus('a nailer behind', Length::ofDouble($behind))
            ->minus('free behind it', $run->behind($rules));
        $length = $run->length($site, $free->result);
        if ($length === null) {
            $shortest = $run->shallowest($rules, $site->terms->materials)->minus($run->behind($rules));

            return new Assembly([], findings: [Slides::noneFits($site, $free->result, $shortest)]);
        }
        $width = $run->width($site);
        if ($width->result->toDouble() < self::LOWEST) {
            return new Assembly([], findings: [$this->tooNarrow($site, $width)]);
        }
        $assemblies = array_map(fn (int $i) => $this->drawer($site, $run, $i, $fronts[$i], $shares[$i], $places[$i], $width, $length), array_keys($fronts));

        return Assembly::all(...[...$assemblies, new Assembly([], findings: in_array($this->run, [DrawerRun::Side, DrawerRun::Under], true) ? $this->racks($site, $width, $length) : [])]);
    }

    /** Depth from the back to where its front begins, or to what closes them all. */
    private function clear(OpeningSite $site): Working
    {
        return match (true) {
            ! $this->fronts => Working::start('clear of what closes them', Length::ofDouble($site->front())),
            $this->mount === Mount::Inset => $site->depth()->minus('drawer front', $site->terms->materials->for(Purpose::Front)->thickness),
            default => $site->depth(),
        };
    }

    /** What keeps them from being made at all. */
    private function refused(OpeningSite $site): ?Finding
    {
        $tier = $site->opening->tierId;
        if ($site->opening->front !== null && $this->fronts) {
            return Finding::clash(Code::FrontTwice, 'Drawers have fronts of their own; nothing else closes their opening.', $tier)
                ->withWaysOut([new WayOut('Leave their own fronts out', Edits::tier($tier)->setting(['fronts' => false])), ...$site->unclosed('Take what is before them away'), $site->emptied()]);
        }
        $onSlides = new WayOut('Run them on slides', Edits::tier($tier)->setting(['run' => DrawerRun::Side->value]));
        if ($this->run === DrawerRun::Castor && ! ($site->isOpenBelow() && $site->box->z < self::ON_FLOOR)) {
            return Finding::clash(Code::CastorNeedsFloor, 'A drawer on castors rolls on the floor: its box has no bottom and stands on no plinth.', $tier)
                ->withWaysOut([$onSlides, new WayOut('Leave the bottom out', new Edit('layout.do', ['action' => 'add', 'kind' => 'no-bottom', 'cells' => [$tier], 'seed' => "no bottom under $tier"])), $site->emptied()]);
        }

        return $this->run !== DrawerRun::Castor || $this->count === 1 ? null
            : Finding::clash(Code::CastorNeedsFloor, 'On castors there is one drawer, on the floor; others stand in openings of their own.', $tier)
                ->withWaysOut([new WayOut('Make one drawer', Edits::tier($tier)->setting(['count' => 1])), $onSlides, $site->emptied()]);
    }

    /**
     * The heights of the fronts from the top: those that were given, and others as high as their openings leave, less the gaps between
     * them; what rounding leaves over goes to the lowest. Without fronts they share their opening alike.
     *
     * @return non-empty-list<Working>
     */
    private function faces(OpeningSite $site): array
    {
        [, , $foot, $top] = $site->frame();
        [, , $below, $above] = $site->edges()->laps($this->mount);
        $fine = $site->terms->format->fine();
        $all = $foot + $top < 1e-6 ? $site->height() : $site->height()->minus('what the frame stands inside the boards', Length::ofDouble($foot + $top));
        $all = $this->fronts ? $site->edges()->over($all, $this->mount, $below, $above, 'over and under') : $all;
        $under = $this->under($site);
        $all = $under->isZero() ? $all : $all->minus('off the floor instead of a gap', $under);
        $all = $this->count === 1 ? $all : $all->minusTimes('gaps between the fronts', $this->count - 1, $this->apart($site));
        $fronts = array_map(fn (Length $height): Working => Working::start('height as chosen', $height), array_slice($this->heights, 0, $this->count - 1));
        $left = array_reduce($fronts, fn (Working $left, Working $front): Working => $left->minus('a front over it', $front->result), $all);
        $others = $this->count - count($fronts);
        $steps = $fronts === [] ? intdiv($this->count * ($this->count - 1), 2) : 0;
        $equal = ($this->grade->isZero() || $steps === 0 ? $left : $left->minusTimes('what lower fronts have more', $steps, $this->grade))
            ->dividedBy('equal parts', $others)
            ->roundedDown($fine);
        $rest = $left->result;
        for ($i = 0; $i < $others - 1; $i++) {
            $fronts[] = $front = $i === 0 || $steps === 0 || $this->grade->isZero() ? $equal : $equal->plusTimes('higher than the one over it', $i, $this->grade);
            $rest = $rest->minus($front->result);
        }
        $fronts[] = $this->count === 1 ? $equal : Working::start('what the fronts over it leave', $rest)->roundedDown($fine);

        return $fronts;
    }

    /** How much more than a gap the lowest front keeps off what is below it. */
    private function under(OpeningSite $site): Length
    {
        $under = Runs::of($this->run)->under($site->terms->rules);

        return $under === null || ! $this->fronts ? Length::zero() : $under->plus($site->edges()->laps($this->mount)[2]);
    }

    /** From front to front. */
    private function apart(OpeningSite $site): Length
    {
        return $site->terms->rules->get($this->mount === Mount::Inset ? Rule::PairGap : Rule::OverlayGap);
    }

    /**
     * What each drawer has of the opening: its front, less what that laps over the boards at the foot and the head.
     *
     * @param  non-empty-list<Working>  $fronts
     * @return non-empty-list<Length>
     */
    private function shares(OpeningSite $site, array $fronts): array
    {
        [, , $below, $above] = $site->edges()->laps($this->mount);
        $shares = array_map(fn (Working $front) => $front->result, $fronts);
        if ($this->fronts && $this->mount === Mount::Overlay) {
            $shares[0] = $shares[0]->minus($above);
            $shares[count($shares) - 1] = $shares[count($shares) - 1]->minus($below);
        }

        return $shares;
    }

    /**
     * @param  non-empty-list<Working>  $fronts
     * @return non-empty-list<float> z of the foot of each front
     */
    private function feet(OpeningSite $site, array $fronts): array
    {
        [, , $foot] = $site->frame();
        $z = $foot - ($this->fronts ? $site->edges()->laps($this->mount)[2]->toDouble() - $this->under($site)->toDouble() : 0.0);
        $feet = [];
        foreach (array_reverse($fronts) as $front) {
            $feet[] = $z;
            $z += $front->result->toDouble() + $this->apart($site)->toDouble();
        }

        return array_reverse($feet);
    }

    private function drawer(OpeningSite $site, Run $run, int $i, Working $front, Length $share, float $foot, Working $width, Length $length): Assembly
    {
        $terms = $site->terms;
        [$left] = $site->frame();
        $leaf = $terms->materials->for(Purpose::Front)->thickness->toDouble();
        $y1 = $this->fronts ? $site->edges()->front($this->mount, $leaf) : $site->front();
        $isLowest = $i === $this->count - 1;
        $number = (string) ($this->count - $i);
        $lapped = $front->result->minus($share);
        $high = ($lapped->isZero() ? Working::start('height of its front', $front->result) : Working::start('height of its front', $front->result)->minus('what that laps over the boards', $lapped))
            ->minus('air under and over it', $run->air($terms->rules, $i === 0))
            ->atMost('no higher, whatever its front', Length::ofMillimetres(self::HIGHEST))
            ->roundedDown($terms->format);
        $wide = $width->result->toDouble();
        $x = $left + ($site->between()->result->toDouble() - $wide) / 2;
        $up = $foot + ($this->fronts && $this->mount === Mount::Overlay && $isLowest ? $site->edges()->laps($this->mount)[2]->toDouble() : 0.0) + $run->up($terms->rules);
        $body = $run->body($site, $number, $width, $high, $length, $x, $y1, $up, [$this->across, $this->along]);
        $travel = $run->travel($length);
        // As far back as it stands, and out; the front before it, with its pull.
        $swept = [$site->block($x, $x + $wide, $y1 - $body->deep, $y1 + $travel, $up, $up + $body->high)];
        $face = $this->fronts ? $this->face($site, $number, $front, $y1, $foot) : null;
        $pulls = $face !== null && $face->piece->length->result->toDouble() > self::TWO_PULLS ? 2 : 1;
        if ($face !== null) {
            $face = (new PullPlace($terms, $this->pull))->onDrawer($face, $pulls);
            $inset = $left - $site->edges()->laps($this->mount)[0]->toDouble();
            $swept[] = $site->block($inset, $inset + $face->piece->length->result->toDouble(), $y1, $y1 + $leaf + $travel + $terms->rule(Rule::PullProjection), $foot, $foot + $front->result->toDouble());
        }
        $moving = [$body->front, ...$body->keys(), ...($face === null ? [] : [$face->piece->key])];
        $movement = new Movement(sprintf('Drawer %s of %s', $number, $site->name()), $site->opening->tierId, $moving, array_map(Solid::block(...), $swept), array_map(fn (Block $block) => $block->footprint(), $swept), Motion::slide(Way::Out->vector(), $travel), $travel);
        $weight = $body->weight() + $this->carried($site, $wide, $body);
        $hardware = [...$run->hardware($site, $length, $weight), ...($face === null ? [] : $this->pull->bought($pulls, 'drawer fronts'))];

        return Assembly::all(
            $body->built,
            new Assembly($face === null ? [] : [$face], $face === null ? [] : [new Joint($body->front, $face->piece->key, JointKind::Screws, 'drawer fronts')], $hardware, [], $this->weak($site, $number, $weight), [$movement], uses: $this->run === DrawerRun::Side && $this->fronts ? [$this->play($site, $body)] : []),
            $run->carried($site, $number, $body, $length, $y1, $up, $i === 0 ? $foot + $share->toDouble() : null),
        );
    }

    /** What is in a drawer so wide, as it is said or by its volume; kg. */
    private function carried(OpeningSite $site, float $wide, DrawerBody $body): float
    {
        $thick = 2 * $site->terms->materials->for(Purpose::Drawer)->thickness->toDouble();
        $aLitre = $this->fill->aLitre();

        return $aLitre === null ? $this->load : Rolling::contents(max(0.0, $wide - $thick) * max(0.0, $body->deep - $thick) * $body->high, $aLitre);
    }

    /** @return list<Finding> where slides as thick as they are reckoned carry less */
    private function weak(OpeningSite $site, string $number, float $weight): array
    {
        $strongest = Slides::strongest($site->terms->rules);
        if ($this->run !== DrawerRun::Side || Slides::SPARE * $weight <= $strongest->value) {
            return [];
        }
        $tier = Edits::tier($site->opening->tierId);
        $ways = $this->fill === DrawerFill::Stated ? [new WayOut(sprintf('Put no more than %d kg in it', self::USUAL_LOAD), $tier->setting(['load' => self::USUAL_LOAD]))] : [new WayOut('Keep clothes in it', $tier->setting(['fill' => DrawerFill::Clothes->value]))];

        return [Finding::clash(Code::SlidesWeak, sprintf('Drawer %s weighs %.0f kg with what is in it; slides of this thickness carry %.0f kg with enough to spare. Make more and lower drawers of it, or put less in.', $number, $weight, $strongest->value / Slides::SPARE), $site->opening->tierId)->withWaysOut([...$ways, $site->emptied()])];
    }

    private function play(OpeningSite $site, DrawerBody $body): SizeUse
    {
        $terms = $site->terms;
        [$in, $out] = $site->frame();
        return $site->play('play of drawer slides', ["$body->front.length" => -1.0], 0.0, 1.0 + $terms->rule(Rule::SlidePlay), 'The drawer binds in its slides, or rattles between them.', $body->rabbets - $in - $out - 2 * ($terms->rule(Rule::SlideThickness) + $terms->materials->for(Purpose::Drawer)->thickness->toDouble()));
    }

    private function face(OpeningSite $site, string $number, Working $front, float $y1, float $foot): Placed
    {
        [$left, $right] = $site->edges()->laps($this->mount);
        $length = $site->edges()->over($site->between(), $this->mount, $left, $right, 'left and right');
        $piece = $site->make->moving("drawer-$number-face", 'Drawer front', $length, $front, Purpose::Front, Grain::Length, [new Finished('all four', Finish::Banded)], ['screwed from inside the drawer'], $site->mark("drawer-$number-face"));

        return $site->placed($piece, $site->frame()[0] - $left->toDouble(), $y1, $foot, Way::Right, Way::Up, Way::Out, Part::Face);
    }

    private function tooLow(OpeningSite $site, Run $run, float $lowest): Finding
    {
        $each = $run->lowest() + $run->air($site->terms->rules, true)->toDouble() + $site->terms->rule(Rule::PairGap);
        [, , $foot, $top] = $site->frame();
        $fits = max(1, (int) floor(($site->height()->result->toDouble() - $foot - $top) / $each));
        $ways = $fits < $this->count ? [new WayOut($fits === 1 ? 'Make one drawer' : "Make $fits drawers", Edits::tier($site->opening->tierId)->setting(['count' => $fits, 'grade' => null]))] : [];

        return Finding::clash(Code::DrawerLow, sprintf('%s a box of %s; %s is the least that holds anything.', $this->count === 1 ? 'The drawer leaves' : "$this->count drawers leave", $site->terms->write(max(0.0, $lowest)), $site->terms->write($run->lowest())), $site->opening->tierId)
            ->withWaysOut([...$ways, $site->emptied()]);
    }

    private function tooNarrow(OpeningSite $site, Working $width): Finding
    {
        return Finding::clash(Code::TooSmall, sprintf('Between its stiles there is no room for a drawer: the box would be %s wide.', $site->terms->write(max(0.0, $width->result->toDouble()))), $site->opening->tierId)->withWaysOut([$site->emptied()]);
    }

    /** @return list<Finding> */
    private function racks(OpeningSite $site, Working $width, Length $slide): array
    {
        $wide = $width->result->toDouble();

        return $wide > 2 * $slide->toDouble() || $wide > self::WIDEST
            ? [Finding::warning(Code::DrawerRacks, sprintf('A drawer %s wide on slides of %s binds when it is pulled at one side. Divide the bay, or make the box deeper.', $site->terms->write($wide), $site->terms->format->write($slide)), $site->opening->tierId)]
            : [];
    }
}
