<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\StandsForward;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Strength\Studs;
use Incastro\Units\Assembly;
use Incastro\Units\BoughtBox;
use Incastro\Units\Fixture;
use Incastro\Units\Hardware;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\BoxSite;

/**
 * A bought cabinet or bookcase in the place of a box, made to look built in: packed where its back is screwed to the wall, so that the
 * screws do not bow it; joined to its neighbour with a trim over the seam; cut down to a slope under a new top. Its sizes are those of
 * its place, so that plinths, tops, fillers and friezes go with it as with any box.
 */
#[About('ready-made', 'Bought, not built', 'A ready-made cabinet stands here, packed, trimmed and filled in.', 'Bought')]
final readonly class ReadyMade implements BoughtBox
{
    /** A place that is larger or smaller than the cabinet by less than this is its own, mm. */
    private const SAME = 0.6;

    /** Connecting screws in a seam. */
    private const CONNECTORS = 4;

    /** A trim is so much narrower than both sides at each edge, and a shim on the wall so long and wide; mm and inches. */
    private const TRIM_IN = [1.0, 1 / 32];

    /** Screws through the back into each stud. */
    private const A_STUD = 2;

    public function __construct(
        #[Size('Width of the cabinet', ['800', '29 1/2'], 100, 2400)] public Length $width,
        #[Size('Height of the cabinet', ['2020', '79 1/2'], 100, 2700)] public Length $height,
        #[Size('Depth of the cabinet', ['280', '11'], 100, 1000)] public Length $depth,
        #[Size('Thickness of its sides', ['16', '5/8'], 6, 50)] public Length $side,
        #[Size('Back let in behind its sides', ['12', '1/2'], 0, 40)] public Length $recess,
        #[Size('Back bows towards the wall', ['0', '0'], 0, 40)] public Length $bow,
        #[Toggle('A trim over the seam to its neighbour', true)] public bool $trim,
        #[Toggle('Cut down to the slope', false)] public bool $cut,
        #[Toggle('Its boards are hollow', false)]
        #[When('cut', true)]
        public bool $hollow,
        #[Size('Skin of its hollow boards', ['3', '1/8'], 1, 10)]
        #[When('cut', true)]
        public Length $skin,
    ) {
    }

    public function stand(BoxSite $site): Assembly
    {
        $box = $site->box;
        $wide = min($this->width->toDouble(), $box->outerWidth()->toDouble());
        $u = $box->u + ($box->outerWidth()->toDouble() - $wide) / 2;
        $low = min($box->top->left, $box->top->right);
        $high = min($this->height->toDouble(), $box->top->isRaked() ? $low : $box->outerHeight()->toDouble());
        $cabinet = new Fixture('Cabinet', $box->id, new Block($u, $u + $wide, $box->v, $box->v + min($this->depth->toDouble(), $box->outerDepth()->toDouble()), $box->z, $box->z + $high));

        return Assembly::all(
            // At the front of its run no wall is behind it.
            $box->option(StandsForward::class) === null ? new Assembly([], hardware: $this->fixed($site), decisions: $this->packing($site)) : new Assembly([]),
            new Assembly([], findings: $this->findings($site, $low), fixtures: [$cabinet]),
            $this->seam($site),
            $this->cut && $box->top->isRaked() && $this->height->toDouble() > $low ? $this->sloped($site, $low) : new Assembly([]),
        );
    }

    /**
     * How thick what is put between its back and the wall is, where a screw goes through: never more than there is, or it would push the
     * back out. A back bows in its middle third, and hardly beside its sides.
     *
     * @return array<string, Working>
     */
    private function packing(BoxSite $site): array
    {
        $box = $site->box;
        $off = fn (float $from, float $to): Length => Length::ofDouble(max(0.0, $box->v - $site->run->frame->backBulge($box->u + $from * $box->outerWidth()->toDouble(), $box->u + $to * $box->outerWidth()->toDouble(), $box->z, $box->highest())));
        $beside = Working::start('back let in', $this->recess)->plus('the wall off its sides', $off(0.0, 1 / 3));
        $middle = Working::start('back let in', $this->recess)->minus('the back bows', $this->bow)->plus('the wall off its sides', $off(1 / 3, 2 / 3))->atLeast('it touches the wall', Length::zero());

        return ["Packing behind $box->mark near its sides" => $beside, "Packing behind $box->mark in its middle third" => $middle];
    }

    /** @return list<Hardware> */
    private function fixed(BoxSite $site): array
    {
        $studs = max(1, Studs::surely($this->width->toDouble(), Studs::APART));
        $before = $this->recess->toDouble() + $site->terms->materials->back->thickness->toDouble();

        return [(new Screws($site->terms->materials, $site->terms->format))->toStudsPast($before, self::A_STUD * $studs, 'bought cabinets to studs')];
    }

    /** The trim over the seam to a cabinet beside it, and what draws both together. */
    private function seam(BoxSite $site): Assembly
    {
        $next = $site->next();
        $other = $next?->option(self::class);
        if ($next === null || $other === null) {
            return new Assembly([]);
        }
        $connectors = new Hardware('connecting screw', self::CONNECTORS, 'bought cabinets to each other', ArticleKind::Connector);
        if (! $this->trim || ! $other->height->isEqualTo($this->height) || $site->box->top->isRaked() || $next->top->isRaked()) {
            return new Assembly([], hardware: [$connectors]);
        }
        $seam = Length::ofDouble(max(0.0, $next->u - $site->box->right()) + max(0.0, $site->box->outerWidth()->toDouble() - $this->width->toDouble()) / 2 + max(0.0, $next->outerWidth()->toDouble() - $other->width->toDouble()) / 2);
        $width = Working::start('its side', $this->side)->plus('its neighbour’s', $other->side);
        $width = $seam->isZero() ? $width : $width->plus('the seam', $seam);
        $piece = $site->make->inner('seam', 'Seam trim', Working::start('height of the cabinet', $this->height), $width->minusTimes('less at both edges', 2, $site->terms->rules->either(...self::TRIM_IN)), Purpose::Trim, Grain::Length, [], ['glued and nailed over the seam']);
        $middle = ($site->box->right() + $next->u) / 2;
        $placed = new Placed($piece, Pose::at($middle - $piece->width->result->toDouble() / 2, $site->box->face(), $site->box->z, Way::Up, Way::Right, Way::Out), Part::Face, $site->box->id);

        return new Assembly([$placed], hardware: [$connectors]);
    }

    /**
     * A new top along the slope, (x₁ − s)/cos θ along each face where it meets the old one at x₁ = (h − z₀)/tan θ, or between both sides;
     * its ends are cut plumb. Hollow boards get blocks in every cut edge.
     */
    private function sloped(BoxSite $site, float $low): Assembly
    {
        $box = $site->box;
        $wide = $box->outerWidth()->toDouble();
        $angle = $box->top->angle($wide);
        $meets = ($this->height->toDouble() - $low) / tan($angle);
        $isWhole = $meets >= $wide;
        $across = $isWhole
            ? Working::start('width of the cabinet', $this->width)->minusTimes('two sides', 2, $this->side)
            : Working::start('from its low side to where the cut meets the old top', Length::ofDouble($meets))->minus('its side', $this->side);
        $clear = $across->result->toDouble();
        if ($clear < 1.0) {
            return new Assembly([]);
        }
        $length = $across->plus(sprintf('along the slope, ÷ cos %.1f°', rad2deg($angle)), Length::ofDouble($clear / cos($angle) - $clear));
        $piece = $site->make->inner('top-slope', 'Sloped top of the cabinet', $length, Working::start('depth of the cabinet', $this->depth)->minus('back let in', $this->recess), Purpose::Carcass, Grain::Length, [new Bevelled('both ends, short', $angle, ', parallel, measured along a face')], ['between what is left of the cabinet, on blocks']);
        $rises = $box->top->right > $box->top->left;
        $from = $rises ? $box->u + $this->side->toDouble() : $box->right() - $this->side->toDouble() - $clear;
        $plumb = $piece->thickness->toDouble() / cos($angle);
        $turn = $rises ? $angle : -$angle;
        $along = new Vector(cos($turn), 0.0, sin($turn));
        $at = new Vector($from, $box->v + $this->recess->toDouble(), $box->topAt($from, $box->face()) - $plumb);
        $placed = new Placed($piece, new Pose($at, $along, Way::Out->vector(), new Vector(-sin($turn), 0.0, cos($turn))), Part::Loose, $box->id);
        $blocks = $this->hollow ? ["Infill in the cut edges of $box->mark, thick" => Working::start('its boards', $this->side)->minusTimes('two skins', 2, $this->skin)] : [];
        $longPoint = Working::start('low side, its outer face', Length::ofDouble($low))->plus('to its inner face', Length::ofDouble($this->side->toDouble() * tan($angle)));

        return new Assembly([$placed], decisions: ["Low side of $box->mark, cut to its long point" => $longPoint] + $blocks);
    }

    /** @return list<Finding> what its place has too much or too little */
    private function findings(BoxSite $site, float $low): array
    {
        $box = $site->box;
        $bay = $box->columns[0]->bayId;
        $format = $site->terms->format;
        $findings = [];
        if (! $box->hasOneCell()) {
            $findings[] = Finding::clash(Code::ReadyMadeWidth, sprintf('Box %s is joined with its neighbour; a bought cabinet stands alone.', $box->mark), $box->id)->withWaysOut([new WayOut('Build it instead', Edits::withoutOption($site->option))]);
        }
        $sizes = [
            [Code::ReadyMadeWidth, 'wide', $this->width, $box->outerWidth(), Edits::bay($bay)->measuring('size', $this->width)],
            [Code::ReadyMadeDepth, 'deep', $this->depth, $box->outerDepth(), Edits::tier($box->id)->measuring('depth', $this->depth)],
        ];
        if (! $box->top->isRaked()) {
            $sizes[] = [Code::ReadyMadeHeight, 'high', $this->height, $box->outerHeight(), Edits::tier($box->id)->measuring('size', $this->height)];
        } elseif (! $this->cut && $this->height->toDouble() > $low + self::SAME) {
            $findings[] = Finding::clash(Code::ReadyMadeHeight, sprintf('The slope leaves %s at its low side; the cabinet is %s high.', $site->terms->write($low), $format->write($this->height)), $box->id)
                ->withWaysOut([new WayOut('Cut it down to the slope', Edits::option($site->option)->setting(['cut' => true])), new WayOut('Stop it below', Edits::bay($bay)->with('top', 'below'))]);
        }
        foreach ($sizes as [$code, $word, $own, $has, $edit]) {
            $findings = [...$findings, ...$this->mismatch($code, $box->id, $word, $format->finest()->write($own), $format->finest()->write($has), $has->minus($own)->toDouble(), $edit)];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function mismatch(Code $code, string $box, string $word, string $own, string $has, float $over, Edit $edit): array
    {
        $way = [new WayOut("Make its place $own $word", $edit)];

        return match (true) {
            abs($over) <= self::SAME => [],
            $over < 0.0 => [Finding::clash($code, "The cabinet is $own $word, and its place $has.", $box)->withWaysOut($way)],
            default => [Finding::warning($code, "The cabinet is $own $word, and its place $has: what closes the gap is reckoned from the place.", $box)->withWaysOut($way)],
        };
    }
}
