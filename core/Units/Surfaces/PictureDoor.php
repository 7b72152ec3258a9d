<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Pieces\Works\Sawn;
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
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\HungLeaf;
use Incastro\Units\Make\MitredStrip;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A picture in a mitred frame that swings open from a niche: the frame laps over it all round, and a panel with glass and picture is held
 * in a rabbet behind. What it lies on is the niche; on a wall that was framed with one it finds that itself.
 */
#[About('picture-door', 'Picture before a niche', 'A framed picture that swings open from a hidden place.', 'On a wall', 'J')]
final readonly class PictureDoor implements SurfaceUnit, ComesOff
{
    /** A hinge needs a lap of so much, mm and inches. */
    private const HINGED = [10.0, 3 / 8];

    /** Between the frame and its panel, mm and inches. */
    private const PLAY = [2.0, 1 / 8];

    public function __construct(
        #[Size('Laps over the niche', ['15', '1/2'], 8, 40)] public Length $lap,
        #[Size('Width of the frame', ['60', '2 1/2'], 50, 100, 'A concealed hinge needs 50 mm or 2 in.')] public Length $frame,
        #[Size('Rabbet behind', ['8', '3/8'], 6, 15)] public Length $rabbet,
        #[Choice('Hinged at the', Hand::Left)] public Hand $hand,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        return new SurfaceDemand(
            Extent::between($rules->either(120, 5), $rules->either(600, 24), 'a hand into a niche needs %s'),
            Extent::between($rules->either(120, 5), $rules->either(600, 24), 'a hand into a niche needs %s'),
            $materials->for(Purpose::Frame)->thickness->plus($rules->either(2, 1 / 16)),
            $this->lap,
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $host = $site->place->host;
        $niche = $host?->surface->holds instanceof FeatureWall ? $host->surface->holds->niche($host, $terms) : null;
        [$x, $z, $wide, $high] = $niche === null || $host === null
            ? [0.0, 0.0, $site->place->width->result, $site->place->height->result]
            : [$host->u + $niche[0] - $site->place->u, $host->z + $niche[1] - $site->place->z, $niche[2], $niche[3]];
        $fine = $terms->format->fine();
        $across = Working::start('clear width of the niche', $wide)->plusTimes('laps', 2, $this->lap)->roundedDown($fine);
        $up = Working::start('clear height of the niche', $high)->plusTimes('laps', 2, $this->lap)->roundedDown($fine);
        [$pw, $ph, $m, $lp] = [$across->result->toDouble(), $up->result->toDouble(), $this->frame->toDouble(), $this->lap->toDouble()];
        $id = $site->place->surface->id;
        if (min($pw, $ph) < 3 * $m) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('A frame %s wide leaves nothing to see of a picture %s by %s.', $terms->format->write($this->frame), $terms->format->write($across->result), $terms->format->write($up->result)), $id)->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $width = Working::start('width of the frame', $this->frame);
        $off = $terms->rules->either(2, 1 / 16)->toDouble();
        $rabbet = new OpenedThrough(sprintf('rabbet behind along its inner edge, %s by %s', $fine->write($this->rabbet), $fine->write($terms->materials->back->thickness)));
        $strip = fn (string $role, string $name, Working $length, bool $isLowShort): Piece => $site->make->shaped($role, $name, $length, $width, Purpose::Frame, MitredStrip::outline($length->result->toDouble(), $m, $isLowShort), [new Sawn('both ends', M_PI / 4, ', a mitre'), $rabbet], ['mitres glued and splined'], $role);
        [$left, $foot] = [$x - $lp, $z - $lp];
        $frame = [
            $site->placed($strip('stile-L', 'Frame, upright', $up, false), $left, $off, $foot, Way::Up, Way::Right, Part::Loose),
            $site->placed($strip('stile-R', 'Frame, upright', $up, true), $left + $pw - $m, $off, $foot, Way::Up, Way::Right, Part::Loose),
            $site->placed($strip('rail-foot', 'Frame, level', $across, false), $left, $off, $foot, Way::Right, Way::Up, Part::Loose),
            $site->placed($strip('rail-head', 'Frame, level', $across, true), $left, $off, $foot + $ph - $m, Way::Right, Way::Up, Part::Loose),
        ];
        $play = $terms->rules->either(...self::PLAY);
        $inside = fn (Working $size): Working => Working::start('outside the frame', $size->result)->minusTimes('frame', 2, $this->frame)->plusTimes('rabbets', 2, $this->rabbet)->minus('play', $play);
        $panel = $site->make->inner('panel', 'Picture panel', $inside($up), $inside($across), Purpose::Back, Grain::Length, [], ['held in its rabbet by points, with glass and picture, not glued']);
        $placed = $site->placed($panel, $left + ($pw - $panel->width->result->toDouble()) / 2, $off, $foot + ($ph - $panel->length->result->toDouble()) / 2, Way::Up, Way::Right, Part::Loose);
        $joints = array_map(fn (Placed $one) => new Joint($panel->key, $one->piece->key, JointKind::Rabbet, 'pictures', $this->rabbet->toDouble() + $panel->thickness->toDouble()), $frame);
        foreach ([[0, 2], [0, 3], [1, 2], [1, 3]] as [$a, $b]) {
            $joints[] = new Joint($frame[$b]->piece->key, $frame[$a]->piece->key, JointKind::Glue, 'pictures');
        }
        $leaf = [...$frame, $placed];
        $hand = $this->hand === Hand::Right ? Hand::Right : Hand::Left;
        $thick = $frame[0]->piece->thickness->toDouble();
        $hung = new HungLeaf(new Vector($site->place->u + $left + ($hand === Hand::Left ? 0.0 : $pw), $site->place->v, $site->place->z + $foot), $hand, $pw, [$ph, $ph]);
        [$swept, $above] = $hung->swept(hypot($pw, $off + $thick));
        $weight = array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $leaf));
        $movement = new Movement('Picture '.$site->place->mark, $id, array_map(fn (Placed $one) => $one->piece->key, $leaf), $swept, [$above], $hung->motion(), 0.0, [new WayOut('Hinge it at the '.$hand->other()->value, Edits::surface($id)->setting(['hand' => $hand->other()->value]))]);
        $findings = $this->lap->isLessThan($terms->rules->either(...self::HINGED)) ? [Finding::clash(Code::LapShort, sprintf('The frame laps %s; its hinge needs %s.', $fine->write($this->lap), $fine->write($terms->rules->either(...self::HINGED))), $id)->withWaysOut([new WayOut('Lap as usual', Edits::surface($id)->setting(['lap' => null]))])] : [];

        return new Assembly($leaf, $joints, [
            new Hardware('concealed hinge for a leaf over its board, straight', max(2, $hung->hinges($weight) ?? 2), 'pictures', ArticleKind::Hinge),
            new Hardware('magnet catch', 2, 'pictures', ArticleKind::Magnet), new Hardware('felt bumper', 2, 'pictures', ArticleKind::Felt),
        ], [], [...$findings, Finding::note(Code::Caution, sprintf('Hinges of %s are screwed to the lining of its niche, %s from each end.', $site->place->mark, $terms->format->write($terms->rules->get(Rule::HingeEnd))), $id)], [$movement]);
    }
}
