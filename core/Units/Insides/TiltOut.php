<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\InsideUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Sites\OpeningSite;

/**
 * A leaf that tilts out about its lower edge with a bin behind it: for laundry, recycling, potatoes. The bin is as deep as its back
 * corner clears the opening when it is turned: its diagonal is no more than what is clear over the hinge.
 */
#[About('tilt-out', 'Tilt-out bin', 'A leaf with a bin behind it that tilts out.', 'Storage')]
final readonly class TiltOut implements InsideUnit
{
    /** The bin over the hinge, air beside it and behind it, and over it for a hand; mm and inches. */
    private const UP = [10.0, 3 / 8];

    private const BESIDE = [6.0, 1 / 4];

    private const OVER = [60.0, 2.375];

    /** A bin lower or shallower than this holds nothing, mm. */
    private const LEAST = 80.0;

    public function __construct(
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Count('Tilts by, degrees', 30, 15, 45)] public int $angle,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        [$frame, $rails] = FaceFrame::takes($rules, $materials);

        return new OpeningDemand(
            Extent::between($rules->either(200, 8)->plus($frame), $rules->either(1000, 39)->plus($frame), 'a tilt-out needs %s'),
            Extent::between($rules->either(200, 8)->plus($rails), $rules->either(700, 28)->plus($rails), 'a tilt-out needs %s'),
            Extent::atLeast($rules->either(150, 6), 'a tilt-out needs %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        if ($site->opening->front !== null) {
            return new Assembly([], findings: [Finding::clash(Code::FrontTwice, 'A tilt-out has a front of its own; nothing else closes its opening.', $site->opening->tierId)->withWaysOut([...$site->unclosed('Take what is before it away'), $site->emptied()])]);
        }
        $maker = new Leaf($site, Mount::Overlay, isPushed: $this->pull === Pull::None);
        $across = $maker->width(1);
        $x = $maker->starts(1, $across)[0];
        if ($maker->lowest($x, $across->result->toDouble()) < Leaf::LEAST || abs($maker->high($x) - $maker->high($x + $across->result->toDouble())) > 1e-6) {
            return new Assembly([], findings: [$this->tooSmall($site)]);
        }
        $body = $this->bin($site, $maker);
        if ($body === null) {
            return new Assembly([], findings: [$this->tooSmall($site)]);
        }
        [$built, $start] = $body;
        $made = $maker->made('tilt-out', 'Tilt-out front', $across, $x, ['on a piano hinge along its lower edge; the bin is screwed to it']);
        $place = new PullPlace($site->terms, $this->pull);
        $leaf = $made->assembly->placing(array_map(fn (Placed $one): Placed => $place->onPullOut($one, $made->heights[0]), $made->assembly->placed), []);
        $format = $site->terms->format;
        $hinge = $made->width->result->minus($site->terms->rules->either(10, 3 / 8))->roundedDown($format->step);
        $hardware = [new Hardware('piano hinge '.$format->write($hinge), 1, 'flaps', ArticleKind::PianoHinge, $hinge), new Hardware('stay that stops a tilt-out', 1, 'flaps', ArticleKind::FlapStay), new Hardware('magnet catch', 2, 'flaps', ArticleKind::Magnet), ...$this->pull->bought(1, 'flaps')];

        return Assembly::all($built->built, $leaf, new Assembly([], [new Joint($built->front, $made->edge(Hand::Left), JointKind::Screws, 'drawer fronts')], $hardware, [], [], [$this->tilting($site, $maker, $made, $built, $start)]));
    }

    /**
     * As high as two thirds of what is clear, and as deep as goes round.
     *
     * @return array{DrawerBody, array{float, float, float}}|null the bin, and where it stands: x, y and z; null where it would hold nothing
     */
    private function bin(OpeningSite $site, Leaf $maker): ?array
    {
        $rules = $site->terms->rules;
        [$left, , $foot] = $site->frame();
        $up = max($foot, 0.0) + $rules->either(...self::UP)->toDouble();
        $clear = $site->upper(0.0) - $maker->foot() - $rules->either(...self::UP)->toDouble();
        $width = $site->between()->minusTimes('air beside it', 2, $rules->either(...self::BESIDE))->roundedDown($site->terms->format->fine());
        $height = Working::start('clear over its foot', Length::ofDouble(max(0.0, $site->upper(0.0) - $up)))->minus('for a hand over it', $rules->either(...self::OVER))->roundedDown($site->terms->format);
        $over = $height->result->toDouble() + $up - $maker->foot();
        $free = $maker->back() - $site->nailerBetween(0.0, $up + $height->result->toDouble()) - $rules->either(...self::UP)->toDouble();
        $round = $clear > $over ? sqrt($clear ** 2 - $over ** 2) : 0.0;
        $depth = Working::start('as deep as its back corner clears the opening', Length::ofDouble($round))->atMost('as deep as the box', Length::ofDouble(max(0.0, $free)))->roundedDown($site->terms->format);
        // A high bin is shallow, and a low one deep: two thirds as high it holds most.
        if ($depth->result->toDouble() < 0.6 * $free) {
            $height = $height->dividedBy('three parts', 3)->plusTimes('of which it has two', 1, $height->dividedBy('three parts', 3)->result)->roundedDown($site->terms->format);
            $over = $height->result->toDouble() + $up - $maker->foot();
            $depth = Working::start('as deep as its back corner clears the opening', Length::ofDouble($clear > $over ? sqrt($clear ** 2 - $over ** 2) : 0.0))->atMost('as deep as the box', Length::ofDouble(max(0.0, $free)))->roundedDown($site->terms->format);
        }
        if (min($width->result->toDouble(), $height->result->toDouble(), $depth->result->toDouble()) < self::LEAST) {
            return null;
        }
        $at = [$left + $rules->either(...self::BESIDE)->toDouble(), $maker->back() - $depth->result->toDouble(), $up];

        return [(new DrawerBox($site, 'tilt', $width, $height, $depth))->build(...$at), $at];
    }

    /**
     * Both turn about the lower edge of the leaf, its head outwards: shapes around them at every step.
     *
     * @param  array{float, float, float}  $start  of the bin
     */
    private function tilting(OpeningSite $site, Leaf $maker, MadeLeaf $made, DrawerBody $body, array $start): Movement
    {
        $pivot = $site->at(0.0, $site->face(), $maker->foot());
        $steps = (int) ceil($this->angle / 15);
        $turned = function (float $y0, float $y1, float $z0, float $z1, int $i) use ($steps, $pivot): array {
            $by = deg2rad($this->angle) * $i / $steps;

            return array_map(fn (array $at): Point => new Point($pivot->y + $at[0] * cos($by) + $at[1] * sin($by), $pivot->z + $at[1] * cos($by) - $at[0] * sin($by)), [[$y0, $z0], [$y1, $z0], [$y1, $z1], [$y0, $z1]]);
        };
        $face = $site->face();
        $thick = $maker->before();
        $shapes = [
            [$made->assembly->placed[0]->bounds->u0, $made->wide(), 0.0, $thick, 0.0, $made->heights[0]],
            [$site->at($start[0], 0.0, 0.0)->x, $site->between()->result->toDouble() - 2 * $site->terms->rules->either(...self::BESIDE)->toDouble(), $start[1] - $face, $start[1] + $body->deep - $face, $start[2] - $maker->foot(), $start[2] + $body->high - $maker->foot()],
        ];
        $swept = [];
        foreach ($shapes as [$u, $wide, $y0, $y1, $z0, $z1]) {
            for ($i = 1; $i <= $steps; $i++) {
                $around = Polygon::around([...$turned($y0, $y1, $z0, $z1, $i - 1), ...$turned($y0, $y1, $z0, $z1, $i)]);
                $swept[] = new Solid([Convex::plate($around->points, $wide, new Pose(new Vector($u, 0.0, 0.0), Way::Out->vector(), Way::Up->vector(), Way::Right->vector()))]);
            }
        }
        $out = max([0.0, ...array_map(fn (Solid $solid): float => $solid->bounds->v1, $swept)]);
        $above = Polygon::rectangle($shapes[0][0], $pivot->y, $made->wide(), $out - $pivot->y)->points;

        assert($swept !== []);

        return new Movement('Tilt-out of '.$site->name(), $site->opening->tierId, [...$made->keys(), ...$body->keys()], $swept, [$above], Motion::turn($pivot, Way::Up->vector(), Way::Out->vector(), deg2rad($this->angle)));
    }

    private function tooSmall(OpeningSite $site): Finding
    {
        return Finding::clash(Code::TooSmall, sprintf('There is no room for a bin that tilts out here; %s is the least that holds anything.', $site->terms->write(self::LEAST)), $site->opening->tierId)->withWaysOut([$site->emptied()]);
    }
}
