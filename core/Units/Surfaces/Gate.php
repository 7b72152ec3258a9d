<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\GateFill;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\HungLeaf;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A light gate in the line of a half wall, from that to a post of its own: it begins so far out from the wall as the half wall ends.
 * Wg = opening − gap at the hinge − gap at the latch; Hg = height − gaps below and above.
 */
#[About('gate', 'Gate', 'A light gate that goes on from a half wall, with a post to close against.', 'On a wall', 'G')]
final readonly class Gate implements SurfaceUnit
{
    /** A gap of such a size may hold a child’s head, mm. */
    private const HEAD = [75.0, 230.0];

    /** A post that carries it is so thick at least, mm and inches. */
    private const POST = [38.0, 1.5];

    /** The panel begins so far inside the frame's edges, mm and inches. */
    private const INSET = [10.0, 3 / 8];

    public function __construct(
        #[Size('Begins so far from the wall', ['1020', '41'], 0, 3000, 'Where the half wall ends.')] public Length $from,
        #[Size('Opening', ['700', '28'], 300, 900)] public Length $opening,
        #[Size('Height of the posts', ['1000', '40'], 600, 1200)] public Length $high,
        #[Size('Gap at the hinge', ['6', '1/4'], 3, 12)] public Length $hinge,
        #[Size('Gap at the latch', ['5', '3/16'], 3, 12)] public Length $latch,
        #[Size('Gap below', ['40', '1 1/2'], 20, 50)] public Length $below,
        #[Size('Gap above', ['30', '1 1/4'], 0, 60)] public Length $above,
        #[Size('Width of the frame', ['60', '2 1/2'], 45, 90)] public Length $strip,
        #[Choice('Filled with', GateFill::Panel)] public GateFill $fill,
        #[Choice('Opens to the', Hand::Right)] public Hand $hand,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        [$thick, $wide] = self::post($materials, $rules);

        return new SurfaceDemand(Extent::between($thick, $thick, 'its post is %s'), Extent::between($this->high, $this->high, 'it is %s high'), $this->from->plus($this->opening)->plus($wide));
    }

    /** @return array{Length, Length} of a post: along the wall, and out from it */
    private static function post(Catalogue $materials, HouseRules $rules): array
    {
        $post = $materials->for(Purpose::Post);

        return [$post->thickness, $post instanceof Lineal ? $post->width : $rules->either(89, 3.5)];
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $fine = $terms->format->fine();
        [$postWide] = self::post($terms->materials, $terms->rules);
        $thinnest = $terms->rules->either(...self::POST);
        if ($postWide->isLessThan($thinnest)) {
            return new Assembly([], findings: [Finding::clash(Code::PostThin, sprintf('The post of %s is %s thick; it carries a gate from %s.', $site->place->mark, $terms->format->write($postWide), $terms->format->write($thinnest)), $id)->withWaysOut([WayOut::ofJob('Take timber for posts to the materials', Edits::usualMaterial(Purpose::Post)), new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $wide = Working::start('opening', $this->opening)->minus('gap at the hinge', $this->hinge)->minus('gap at the latch', $this->latch);
        $tall = Working::start('height of the posts', $this->high)->minus('gap below', $this->below)->minus('gap above', $this->above)->roundedDown($fine);
        $thick = $terms->materials->for(Purpose::Frame)->thickness->toDouble();
        // Its face is flush with the posts' on the side to which it opens.
        $isRight = $this->hand !== Hand::Left;
        $x = $isRight ? self::post($terms->materials, $terms->rules)[0]->toDouble() - $thick : 0.0;
        [$y, $z, $w] = [$this->from->plus($this->hinge)->toDouble(), $this->below->toDouble(), $this->strip->toDouble()];
        [$long, $high] = [$wide->result->toDouble(), $tall->result->toDouble()];
        $width = Working::start('width of the frame', $this->strip);
        $eased = [new Finished('all four', Finish::Eased)];
        $level = $wide->minusTimes('stiles', 2, $this->strip);
        $stile = fn (string $role, float $at): Placed => $site->placedTo($site->make->moving($role, 'Gate stile', $tall, $width, Purpose::Frame, Grain::Length, $eased, ['rails between them']), $x, $at, $z, Way::Up, Way::Out, Way::Right, Part::Loose);
        $rail = fn (string $role, float $at): Placed => $site->placedTo($site->make->inner($role, 'Gate rail', $level, $width, Purpose::Frame, Grain::Length, $eased, ['between the stiles']), $x, $y + $w, $at, Way::Out, Way::Up, Way::Right, Part::Loose);
        $frame = [$stile('stile-hinge', $y), $stile('stile-latch', $y + $long - $w), $rail('rail-foot', $z), $rail('rail-head', $z + $high - $w)];
        $filled = $this->fill === GateFill::Panel ? $this->panel($site, $wide, $tall, $x, $y, $z, $thick, $isRight) : $this->brace($site, $long, $high, $x, $y, $z);
        $post = $site->placedTo($site->make->inner('post', 'Gate post', Working::start('height of the posts', $this->high), Working::start('width of the post', self::post($terms->materials, $terms->rules)[1]), Purpose::Post, Grain::Length, $eased, ['on an anchor, or screwed to the wall that it stands at; it carries 27 kg at the latch']), 0.0, $this->from->plus($this->opening)->toDouble(), 0.0, Way::Up, Way::Out, Way::Right, Part::Body);
        $joints = [];
        foreach (array_slice($frame, 2) as $level) {
            foreach (array_slice($frame, 0, 2) as $upright) {
                $joints[] = new Joint($level->piece->key, $upright->piece->key, JointKind::Pocket, 'gates');
            }
        }
        foreach (array_filter($frame, fn (Placed $one) => $one->touches($filled, Joinery::TOUCH)) as $one) {
            $joints[] = new Joint($filled->piece->key, $one->piece->key, JointKind::Glue, 'gates');
        }
        $leaf = [...$frame, $filled];
        $pivot = new Vector($site->place->u + ($isRight ? $x + $thick : $x), $site->place->v + $y, $site->place->z + $z);
        $hung = new HungLeaf($pivot, $isRight ? Hand::Left : Hand::Right, $long, [$high, $high]);
        [$swept, $above] = $hung->swept(hypot($long, $thick + $filled->piece->thickness->toDouble()));
        $weight = array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $leaf));
        $movement = new Movement('Gate '.$site->place->mark, $id, array_map(fn (Placed $one) => $one->piece->key, $leaf), $swept, [$above], Motion::turn($pivot, Way::Out->vector(), ($isRight ? Way::Right : Way::Left)->vector(), M_PI / 2), 0.0, [new WayOut('Let it open to the '.$this->hand->other()->value, Edits::surface($id)->setting(['hand' => $this->hand->other()->value]))]);

        return new Assembly([...$leaf, $post], $joints, [
            new Hardware('butt hinge', $hung->hinges($weight) ?? 3, 'gates', ArticleKind::ButtHinge),
            new Hardware('magnet catch', 1, 'gates', ArticleKind::Magnet),
        ], ['Width of the gate, '.$site->place->mark => $wide], $this->findings($site), [$movement]);
    }

    private function panel(SurfaceSite $site, Working $wide, Working $tall, float $x, float $y, float $z, float $thick, bool $isRight): Placed
    {
        $inset = $site->terms->rules->either(...self::INSET);
        $piece = $site->make->inner('panel', 'Gate panel', $tall->minusTimes('inset', 2, $inset), $wide->minusTimes('inset', 2, $inset), Purpose::Lining, Grain::Length, [new Finished('all four', Finish::Eased)], ['glued and screwed on behind: it keeps the gate square']);

        return $site->placedTo($piece, $isRight ? $x - $piece->thickness->toDouble() : $x + $thick, $y + $inset->toDouble(), $z + $inset->toDouble(), Way::Up, Way::Out, Way::Right, Part::Loose);
    }

    /** From the lower hinge corner up to the latch, so that it is pressed: both ends pointed into the corners. */
    private function brace(SurfaceSite $site, float $long, float $high, float $x, float $y, float $z): Placed
    {
        $w = $this->strip->toDouble();
        [$clear, $up] = [$long - 2 * $w, $high - 2 * $w];
        $angle = atan2($up, $clear);
        $tip = Working::start('from corner to corner inside the frame', Length::ofDouble(hypot($clear, $up)))->roundedDown($site->terms->format->fine());
        $l = $tip->result->toDouble();
        // Seen along its length: points at the middle of both ends, two cuts at each.
        $half = $w / 2;
        [$flat, $steep] = [$half / tan($angle), $half * tan($angle)];
        $outline = new Outline(new Polygon([new Point(0.0, $half), new Point($flat, 0.0), new Point($l - $steep, 0.0), new Point($l, $half), new Point($l - $flat, $w), new Point($steep, $w)]));
        $piece = $site->make->shaped('brace', 'Brace', $tip, Working::start('width of the frame', $this->strip), Purpose::Frame, $outline, [new Sawn('both ends', $angle, ', and its complement on the other side')], ['in compression, from the lower hinge corner up to the latch'], 'brace');
        $across = new Vector(0.0, -sin($angle), cos($angle));
        $from = new Vector($site->place->u + $x, $site->place->v + $y + $w, $site->place->z + $z + $w);

        return new Placed($piece, new Pose($from->minus($across->times($half)), new Vector(0.0, cos($angle), sin($angle)), $across, Way::Right->vector()), Part::Loose, $site->place->surface->id);
    }

    /** @return list<Finding> */
    private function findings(SurfaceSite $site): array
    {
        $id = $site->place->surface->id;
        $findings = [Finding::note(Code::Caution, 'This is no safety gate for children: it keeps no child from a fall. Its level rails are footholds.', $id)];
        $open = $this->fill === GateFill::Brace ? [$this->opening->toDouble() - 2 * $this->strip->toDouble()] : [];
        foreach ([...$open, $this->below->toDouble(), $this->above->toDouble()] as $gap) {
            if ($gap > self::HEAD[0] && $gap < self::HEAD[1]) {
                $findings[] = Finding::clash(Code::GateGap, sprintf('A gap of %s can catch a head.', $site->terms->write($gap)), $id)->withWaysOut([new WayOut('Fill it with a panel', Edits::surface($id)->setting(['fill' => GateFill::Panel->value])), new WayOut('Take it away', Edits::withoutSurface($id))]);
            }
        }

        return $findings;
    }
}
