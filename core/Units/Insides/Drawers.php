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
use Incastro\Pieces\Piece;
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
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\DrawerRun;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
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

    /** A front wider than this has two pulls. */
    private const TWO_PULLS = 600.0;

    public function __construct(
        #[Count('Drawers', 3, 1, 10)] public int $count,
        #[Size('Each front higher than the one over it', ['0', '0'], 0, 100)] public Length $grade,
        #[Count('Load in each, kg', 25, 5, 100)] public int $load,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Choice('Fronts close', Mount::Inset, without: [Mount::Lipped])] public Mount $mount = Mount::Inset,
        #[Choice('Run on', DrawerRun::Side)] public DrawerRun $run = DrawerRun::Side,
        #[Count('Dividers from side to side', 0, 0, 8)]
        #[Unless('run', DrawerRun::Tray)]
        public int $across = 0,
        #[Count('Dividers from front to back', 0, 0, 8)]
        #[Unless('run', DrawerRun::Tray)]
        public int $along = 0,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        [$frame, $rails] = FaceFrame::takes($rules, $materials);
        $run = Runs::of($this->run);
        $each = Length::ofDouble($run->lowest())->plus($run->air($rules))->plus($rules->get(Rule::PairGap));

        return new OpeningDemand(
            Extent::atLeast($run->narrowest()->plus($frame), 'a drawer between stiles needs %s'),
            Extent::atLeast($each->times($this->count)->plus($rails), 'so many drawers need %s'),
            Extent::atLeast($run->shallowest($rules, $materials)->plus($materials->for(Purpose::Front)->thickness), 'drawers and what they run on need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        if ($site->opening->front !== null) {
            return new Assembly([], findings: [Finding::clash(Code::FrontTwice, 'Drawers have fronts of their own; nothing else closes their opening.', $site->opening->tierId)->withWaysOut([...$site->unclosed('Take what is before them away'), $site->emptied()])]);
        }
        $run = Runs::of($this->run);
        $rules = $site->terms->rules;
        $fronts = $this->fronts($site);
        $shares = $this->shares($site, $fronts);
        $lowest = min(array_map(fn (Length $share) => $share->toDouble(), $shares)) - $run->air($rules)->toDouble();
        if ($lowest < $run->lowest()) {
            return new Assembly([], findings: [$this->tooLow($site, $run, $lowest)]);
        }
        $places = $this->feet($site, $fronts);
        $behind = max(array_map(fn (float $foot, Working $front) => $site->nailerBetween($foot, $foot + $front->result->toDouble()), $places, $fronts));
        $free = ($this->mount === Mount::Inset ? $site->depth()->minus('drawer front', $site->terms->materials->for(Purpose::Front)->thickness) : $site->depth())
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

        return Assembly::all(...[...$assemblies, new Assembly([], findings: $this->run === DrawerRun::Tray ? [] : $this->racks($site, $width, $length))]);
    }

    /**
     * The heights of the fronts from the top: as high as their openings leave, less the gaps between them; what rounding leaves
     * over goes to the lowest.
     *
     * @return non-empty-list<Working>
     */
    private function fronts(OpeningSite $site): array
    {
        [, , $foot, $top] = $site->frame();
        [, , $below, $above] = $site->edges()->laps($this->mount);
        $fine = $site->terms->format->fine();
        $all = $foot + $top < 1e-6 ? $site->height() : $site->height()->minus('what the frame stands inside the boards', Length::ofDouble($foot + $top));
        $all = $site->edges()->over($all, $this->mount, $below, $above, 'over and under');
        $all = $this->count === 1 ? $all : $all->minusTimes('gaps between the fronts', $this->count - 1, $this->apart($site));
        $steps = intdiv($this->count * ($this->count - 1), 2);
        $equal = ($this->grade->isZero() || $steps === 0 ? $all : $all->minusTimes('what lower fronts have more', $steps, $this->grade))
            ->dividedBy('equal parts', $this->count)
            ->roundedDown($fine);
        $fronts = [];
        $left = $all->result;
        for ($i = 0; $i < $this->count - 1; $i++) {
            $fronts[] = $i === 0 || $this->grade->isZero() ? $equal : $equal->plusTimes('higher than the one over it', $i, $this->grade);
            $left = $left->minus($fronts[$i]->result);
        }
        $fronts[] = $this->count === 1 ? $equal : Working::start('what the fronts over it leave', $left)->roundedDown($fine);

        return $fronts;
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
        if ($this->mount === Mount::Overlay) {
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
        $z = $foot - $site->edges()->laps($this->mount)[2]->toDouble();
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
        $y1 = $site->edges()->front($this->mount, $leaf);
        $isLowest = $i === $this->count - 1;
        $number = (string) ($this->count - $i);
        $lapped = $front->result->minus($share);
        $high = ($lapped->isZero() ? Working::start('height of its front', $front->result) : Working::start('height of its front', $front->result)->minus('what that laps over the boards', $lapped))
            ->minus('air under and over it', $run->air($terms->rules))
            ->atMost('no higher, whatever its front', Length::ofMillimetres(self::HIGHEST))
            ->roundedDown($terms->format);
        $x = $left + ($site->between()->result->toDouble() - $width->result->toDouble()) / 2;
        $up = $foot + ($this->mount === Mount::Overlay && $isLowest ? $site->edges()->laps($this->mount)[2]->toDouble() : 0.0) + $run->up($terms->rules);
        $body = $run->body($site, $number, $width, $high, $length, $x, $y1, $up, [$this->across, $this->along]);
        $face = $this->face($site, $number, $front);
        $inset = $left - $site->edges()->laps($this->mount)[0]->toDouble();
        $wide = $face->length->result->toDouble();
        $pulls = $wide > self::TWO_PULLS ? 2 : 1;
        $placed = (new PullPlace($terms, $this->pull))->onDrawer($site->placed($face, $inset, $y1, $foot, Way::Right, Way::Up, Way::Out, Part::Face), $pulls);
        $travel = $run->travel($length);
        // As far back as it stands, and out; the front before it, with its pull.
        $swept = [
            $site->block($x, $x + $width->result->toDouble(), $y1 - $body->deep, $y1 + $travel, $up, $up + $body->high),
            $site->block($inset, $inset + $wide, $y1, $y1 + $leaf + $travel + $terms->rule(Rule::PullProjection), $foot, $foot + $front->result->toDouble()),
        ];
        $moving = [...$body->keys(), $face->key];
        $movement = new Movement(sprintf('Drawer %s of %s', $number, $site->name()), $site->opening->tierId, $moving, array_map(Solid::block(...), $swept), array_map(fn (Block $block) => $block->footprint(), $swept), Motion::slide(Way::Out->vector(), $travel), $travel);
        $hardware = [...$run->hardware($site, $length, $body->weight() + $this->load), ...$this->pull->bought($pulls, 'drawer fronts')];

        return Assembly::all(
            $body->built,
            new Assembly([$placed], [new Joint($body->front, $face->key, JointKind::Screws, 'drawer fronts')], $hardware, [], [], [$movement], uses: $this->run === DrawerRun::Side ? [$this->play($site, $body)] : []),
            $run->carried($site, $number, $body, $length, $y1, $up),
        );
    }

    private function play(OpeningSite $site, DrawerBody $body): SizeUse
    {
        $terms = $site->terms;
        [$in, $out] = $site->frame();
        return $site->play('play of drawer slides', ["$body->front.length" => -1.0], 0.0, 1.0 + $terms->rule(Rule::SlidePlay), 'The drawer binds in its slides, or rattles between them.', $body->rabbets - $in - $out - 2 * ($terms->rule(Rule::SlideThickness) + $terms->materials->for(Purpose::Drawer)->thickness->toDouble()));
    }

    private function face(OpeningSite $site, string $number, Working $front): Piece
    {
        [$left, $right] = $site->edges()->laps($this->mount);
        $length = $site->edges()->over($site->between(), $this->mount, $left, $right, 'left and right');

        return $site->make->moving("drawer-$number-face", 'Drawer front', $length, $front, Purpose::Front, Grain::Length, [new Finished('all four', Finish::Banded)], ['screwed from inside the drawer'], $site->mark("drawer-$number-face"));
    }

    private function tooLow(OpeningSite $site, Run $run, float $lowest): Finding
    {
        $each = $run->lowest() + $run->air($site->terms->rules)->toDouble() + $site->terms->rule(Rule::PairGap);
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
