<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

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
use Incastro\Pieces\Works\Rebated;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A leaf that closes an opening, inside its edges or over them: one board, or a frame with a panel or a pane in it, cut to the rake
 * where its opening is (handbook, "Doors"). It is as large as its opening less the reveal all round, or with its laps.
 */
final readonly class Leaf
{
    /** A leaf smaller than this is none, mm. */
    public const LEAST = 60.0;

    /** A framed leaf higher than this has a rail in its middle, and one higher than that two; mm. */
    private const ONE_MIDDLE = 1300.0;

    private const TWO_MIDDLES = 1900.0;

    /** @param float $under what keeps its foot off the floor instead of a gap, mm; 0 where it stands over a board */
    public function __construct(private OpeningSite $site, private Mount $mount, private LeafBuild $build = LeafBuild::Slab, private bool $isGlazed = false, private ?Length $lap = null, private bool $isPushed = false, private float $under = 0.0)
    {
    }

    /** @return array{Length, Length, Length, Length} how far it stands over the edges of the opening: left, right, foot and top */
    public function laps(): array
    {
        return $this->site->edges()->laps($this->mount, $this->lap);
    }

    /** Width of each of so many leaves; what rounding leaves over goes between two. */
    public function width(int $leaves): Working
    {
        [$left, $right] = $this->laps();
        $between = $this->site->edges()->over($this->site->between(), $this->mount, $left, $right, 'left and right');
        $gap = $this->site->terms->rules->get($this->mount === Mount::Overlay ? Rule::OverlayGap : Rule::PairGap);

        return ($leaves === 1 ? $between : $between->minus('gap between the leaves', $gap)->dividedBy('two leaves', 2))->roundedDown($this->site->terms->format->fine());
    }

    /**
     * Where each of one or two leaves so wide begins; x, mm.
     *
     * @return non-empty-list<float>
     */
    public function starts(int $leaves, Working $width): array
    {
        [$left] = $this->site->frame();
        [$atLeft, $atRight] = array_map(fn (Length $lap) => $lap->toDouble(), $this->laps());
        $first = $left - $atLeft;

        return $leaves === 1 ? [$first] : [$first, $left + $this->site->between()->result->toDouble() + $atRight - $width->result->toDouble()];
    }

    /** Where its foot stands; z, mm. */
    public function foot(): float
    {
        return $this->site->frame()[2] - ($this->under > 0.0 ? -$this->under : $this->laps()[2]->toDouble());
    }

    /** How high it is at a place: what the face opening leaves, less a gap at the foot and one square to its upper edge; mm. */
    public function high(float $x): float
    {
        [, , , $above] = $this->laps();

        return $this->site->upper($x) - $this->foot() + $above->toDouble() * hypot(1.0, $this->site->upper($x + 1.0) - $this->site->upper($x));
    }

    /** Where it is lowest, so wide from a place on; mm. */
    public function lowest(float $x, float $wide): float
    {
        return min($this->high($x), $this->high($x + $wide));
    }

    /** No leaf is made narrower or lower: a frame needs that between its stiles and its rails; mm. */
    public function least(): float
    {
        return self::LEAST + ($this->build->isFramed() ? 2 * $this->site->terms->rule(Rule::DoorStile) : 0.0);
    }

    /**
     * A leaf so wide from a place on. One of its heights is decided, the lower one: the other follows, so that the angle is kept.
     *
     * @param  list<string>  $joints
     * @param  ?Hand  $meets  the side at which another leaf meets it
     */
    public function made(string $role, string $name, Working $width, float $x, array $joints, ?Hand $meets = null): MadeLeaf
    {
        $wide = $width->result->toDouble();
        [$left, $right] = [$this->high($x), $this->high($x + $wide)];
        [, , $below, $above] = $this->laps();
        $opening = Working::start('height of the face opening', Length::ofDouble(min($left, $right) - $below->toDouble() - $above->toDouble()));
        $low = ($this->under > 0.0 ? Working::start('height over the floor that it leaves', Length::ofDouble(min($left, $right))) : $this->site->edges()->over($opening, $this->mount, $below, $above, 'over and under'))->roundedDown($this->site->terms->format->fine());
        $rise = abs($right - $left);
        $high = $rise > 1e-6 ? $low->plus('higher at its high side', Length::ofDouble($rise)) : $low;
        $heights = $left <= $right ? [$low->result->toDouble(), $high->result->toDouble()] : [$high->result->toDouble(), $low->result->toDouble()];

        $made = $this->build->isFramed()
            ? $this->framed($role, $name, $width, $heights, $low, $high, $x, $joints)
            : $this->slab($role, $name, $width, $heights, $high, $x, $joints);

        return $this->mount === Mount::Lipped ? $made->lipped($this->rebate(...), $meets) : $made;
    }

    /**
     * The rabbet behind its lip, along some edges of a piece of it: it begins so far inside the opening that the leaf has play there.
     *
     * @param  non-empty-list<'x0'|'x1'|'y0'|'y1'>  $edges
     */
    private function rebate(array $edges): Rebated
    {
        $terms = $this->site->terms;

        return new Rebated($edges, $terms->rules->get(Rule::LipLap)->plus($terms->rules->either(1.5, 1 / 16)), $terms->materials->for(Purpose::Front)->thickness->dividedBy(2));
    }

    /**
     * @param  array{float, float}  $heights
     * @param  list<string>  $joints
     */
    private function slab(string $role, string $name, Working $width, array $heights, Working $high, float $x, array $joints): MadeLeaf
    {
        $works = [new Finished('all four', Finish::Banded)];
        $wide = $width->result->toDouble();
        [$left, $right] = $heights;
        if (abs($right - $left) < 1e-6) {
            $piece = $this->site->make->moving($role, $name, $high, $width, Purpose::Front, Grain::Length, $works, $joints, $this->site->mark($role));
        } else {
            $works[] = new Sawn('top, short', atan2(abs($right - $left), $wide), ' to the rake');
            $outline = new Outline(Polygon::raked($left, $right, $wide));
            $piece = $this->site->make->shaped($role, $name, $high, $width, Purpose::Front, $outline, $works, $joints, $this->site->mark($role));
        }
        $placed = $this->site->placed($piece, $x, $this->back(), $this->foot(), Way::Up, Way::Right, Way::Out, Part::Face);

        return new MadeLeaf(new Assembly([$placed]), $width, $high, $heights, [$piece->key, $piece->key], ["$piece->key.width" => 1.0]);
    }

    /** Where its back stands; y, mm. */
    public function back(): float
    {
        return $this->site->edges()->front($this->mount, $this->thick(), $this->isPushed);
    }

    /** How far its front stands before the face, mm. */
    public function before(): float
    {
        return max(0.0, $this->back() + $this->thick() - $this->site->face());
    }

    private function thick(): float
    {
        return $this->site->terms->materials->for(Purpose::Front)->thickness->toDouble();
    }

    /**
     * Stiles from foot to head with rails between them and what fills the frame. Rails of a grooved frame have tongues in the stiles.
     *
     * @param  array{float, float}  $heights
     * @param  list<string>  $joints
     */
    private function framed(string $role, string $name, Working $width, array $heights, Working $low, Working $high, float $x, array $joints): MadeLeaf
    {
        $terms = $this->site->terms;
        $stile = $terms->rules->get(Rule::DoorStile);
        $ms = $stile->toDouble();
        $wide = $width->result->toDouble();
        $tongue = $this->build === LeafBuild::Grooved ? $terms->rules->get(Rule::DoorGroove) : Length::zero();
        $rise = ($heights[1] - $heights[0]) / $wide;
        $stiles = [
            $this->stile("$role-stile-L", $heights[0], $rise, $heights[0] <= $heights[1] ? $low : $high, $x, true, $joints),
            $this->stile("$role-stile-R", $heights[1] - $rise * $ms, $rise, $heights[0] <= $heights[1] ? $high : $low, $x + $wide - $ms, false, $joints),
        ];
        $between = $width->minusTimes('two stiles', 2, $stile);
        $long = $tongue->isZero() ? $between : $between->plusTimes('tongues in the stiles', 2, $tongue);
        $rails = $this->rails($role, $long, $heights, $rise, $x, $tongue->toDouble());
        $joined = [];
        foreach ($rails as $rail) {
            foreach ($stiles as $post) {
                $joined[] = $tongue->isZero()
                    ? new Joint($rail->piece->key, $post->piece->key, JointKind::Pocket, 'leaves of doors')
                    : new Joint($rail->piece->key, $post->piece->key, JointKind::Glue, 'leaves of doors', $tongue->toDouble());
            }
        }
        $filling = $this->filling($role, $between, $heights[0], $rise, $x, count($rails), [...$stiles, ...$rails]);
        $level = $rails[0]->piece;

        return new MadeLeaf(
            // As one sees them: tongues and edges of panels lie behind the stiles.
            Assembly::all($filling, new Assembly([...$rails, ...$stiles], $joined)),
            $width,
            $high,
            $heights,
            [$stiles[0]->piece->key, $stiles[1]->piece->key],
            [$stiles[0]->piece->key.'.width' => 1.0, $stiles[1]->piece->key.'.width' => 1.0, "$level->key.length" => 1.0],
            2 * $tongue->toDouble(),
        );
    }

    /**
     * @param  float  $left  its height at its left edge, mm
     * @param  Working  $height  of its outer edge
     * @param  list<string>  $joints
     */
    private function stile(string $role, float $left, float $rise, Working $height, float $x, bool $isLeft, array $joints): Placed
    {
        $terms = $this->site->terms;
        $stile = $terms->rules->get(Rule::DoorStile);
        $ms = $stile->toDouble();
        $width = Working::start('width of a stile', $stile);
        $right = $left + $rise * $ms;
        // Its inner edge is the longer one at the lower side.
        $isInner = ($isLeft ? $rise : -$rise) > 1e-9;
        $long = $isInner ? $height->plus('to the long point of the rake', Length::ofDouble(abs($rise) * $ms)) : $height;
        $works = [new Finished('all four', Finish::Banded)];
        $piece = abs($rise) < 1e-9
            ? $this->site->make->moving($role, 'Door stile', $long, $width, Purpose::Front, Grain::Length, $works, $joints, $this->site->mark($role))
            : $this->site->make->shaped($role, 'Door stile', $long, $width, Purpose::Front, new Outline(Polygon::raked($left, $right, $ms)), [...$works, new Sawn('top, short', atan(abs($rise)), ' to the rake')], $joints, $this->site->mark($role));

        return $this->site->placed($piece, $x, $this->back(), $this->foot(), Way::Up, Way::Right, Way::Out, Part::Face);
    }

    /**
     * The lower rail, those in the middle, and the upper one, which follows the rake.
     *
     * @param  array{float, float}  $heights
     * @return non-empty-list<Placed>
     */
    private function rails(string $role, Working $long, array $heights, float $rise, float $x, float $tongue): array
    {
        $terms = $this->site->terms;
        $ms = $terms->rule(Rule::DoorStile);
        $width = Working::start('width of a rail', $terms->rules->get(Rule::DoorStile));
        $works = [new Finished('both long', Finish::Banded)];
        $start = $x + $ms - $tongue;
        $count = 2 + $this->middles(min($heights));
        $level = fn (string $key, float $z): Placed => $this->site->placed($this->site->make->moving($key, 'Door rail', $long, $width, Purpose::Front, Grain::Length, $works, [$this->words()], $this->site->mark($key)), $start, $this->back(), $this->foot() + $z, Way::Right, Way::Up, Way::Out, Part::Face);
        $rails = [];
        for ($i = 0; $i < $count - 1; $i++) {
            $rails[] = $level("$role-rail-".($i + 1), $i * ($this->clear(min($heights), $count) + $ms));
        }
        $rails[] = abs($rise) < 1e-9 ? $level("$role-rail-$count", min($heights) - $ms) : $this->along("$role-rail-$count", $long->result->toDouble(), $start, $heights[0] + $rise * ($ms - $tongue), $rise, $works);

        return $rails;
    }

    /** How many rails stand between the lower and the upper one. */
    private function middles(float $low): int
    {
        return $low > self::TWO_MIDDLES ? 2 : ($low > self::ONE_MIDDLE ? 1 : 0);
    }

    /** Clear height between two rails of so many, mm. */
    private function clear(float $low, int $rails): float
    {
        return ($low - $rails * $this->site->terms->rule(Rule::DoorStile)) / ($rails - 1);
    }

    /**
     * The rail along a rake: its ends are cut plumb.
     *
     * @param  float  $start  where its left end is, x
     * @param  float  $top  how high the leaf is there, mm
     * @param  list<Finished>  $works
     */
    private function along(string $role, float $across, float $start, float $top, float $rise, array $works): Placed
    {
        $terms = $this->site->terms;
        $ms = $terms->rule(Rule::DoorStile);
        $angle = atan($rise);
        $cos = cos($angle);
        $blank = Working::start('from stile to stile, with its tongues', Length::ofDouble($across))
            ->plus('along the rake', Length::ofDouble($across / $cos - $across))
            ->plus('to the long points of its ends', Length::ofDouble($ms * abs($rise)));
        $skew = $ms * abs($rise);
        $long = $across / $cos;
        // Plumb ends lean along the rake: its upper edge begins so much farther up it than the lower one.
        $points = $rise < 0.0
            ? [new Point($skew, 0.0), new Point($skew + $long, 0.0), new Point($long, $ms), new Point(0.0, $ms)]
            : [new Point(0.0, 0.0), new Point($long, 0.0), new Point($long + $skew, $ms), new Point($skew, $ms)];
        $piece = $this->site->make->shaped($role, 'Door rail', $blank, Working::start('width of a rail', $terms->rules->get(Rule::DoorStile)), Purpose::Front, new Outline(new Polygon($points)), [...$works, new Sawn('both ends', abs($angle), ' to the rake')], [$this->words()], $this->site->mark($role));
        // The end of its upper edge lies at the left stile; from there the blank's corner is found.
        $along = new Vector(cos($angle), 0.0, sin($angle));
        $up = new Vector(-sin($angle), 0.0, cos($angle));
        $corner = $this->site->at($start, $this->back(), $this->foot() + $top)->minus($along->times($rise < 0.0 ? 0.0 : $skew))->minus($up->times($ms));

        return new Placed($piece, new Pose($corner, $along, $up, Way::Out->vector()), Part::Face, $this->site->box->id);
    }

    private function words(): string
    {
        return $this->build === LeafBuild::Grooved ? 'tongues glued into the stiles’ grooves' : 'pocket screws into the stiles';
    }

    /**
     * The panels between the rails, or panes with their beads.
     *
     * @param  float  $left  height of the leaf at its left edge, mm
     * @param  non-empty-list<Placed>  $frame
     */
    private function filling(string $role, Working $between, float $left, float $rise, float $x, int $rails, array $frame): Assembly
    {
        $terms = $this->site->terms;
        $low = min($left, $left + $rise * ($between->result->toDouble() + 2 * $terms->rule(Rule::DoorStile)));
        $clear = $this->clear($low, $rails);
        $ms = $terms->rule(Rule::DoorStile);
        $fills = [];
        for ($i = 0; $i < $rails - 1; $i++) {
            $isTop = $i === $rails - 2;
            $fills[] = $this->isGlazed
                ? new Assembly([], hardware: (new Pane($terms))->bought($between->result->toDouble(), $isTop ? $clear + abs($rise) * $between->result->toDouble() : $clear))
                : $this->panel($role.'-panel-'.($i + 1), $between, Length::ofDouble($clear), $isTop ? $rise : 0.0, $left + $rise * $ms, $x, $ms + $i * ($clear + $ms), $frame);
        }

        return Assembly::all(...$fills);
    }

    /**
     * @param  float  $top  how high the leaf is where the clear opening begins at the left, mm
     * @param  non-empty-list<Placed>  $frame
     */
    private function panel(string $role, Working $between, Length $clear, float $rise, float $top, float $x, float $z, array $frame): Assembly
    {
        $terms = $this->site->terms;
        $isGrooved = $this->build === LeafBuild::Grooved;
        $in = $isGrooved ? $terms->rules->get(Rule::DoorGroove) : (new Pane($terms))->rabbet();
        $play = $isGrooved ? $terms->rules->get(Rule::PanelPlay) : $terms->rules->either(2, 1 / 16);
        $into = $isGrooved ? 'into the grooves' : 'into the rabbets';
        $width = $between->plusTimes($into, 2, $in)->minus('play of the panel', $play);
        $grown = $in->toDouble() - $play->toDouble() / 2;
        $ms = $terms->rule(Rule::DoorStile);
        $thick = $terms->materials->for(Purpose::Panel)->thickness->toDouble();
        $y = $this->back() + ($isGrooved ? ($this->thick() - $thick) / 2 : 1.0);
        $height = Working::start('clear height in the frame', $clear)->plusTimes($into, 2, $in)->minus('play of the panel', $play);
        if (abs($rise) < 1e-9) {
            $piece = $this->site->make->moving($role, 'Door panel', $height, $width, Purpose::Panel, Grain::Length, [], [$isGrooved ? 'loose in grooves all round' : 'in rabbets from behind'], $this->site->mark($role));
            $placed = $this->site->placed($piece, $x + $ms - $grown, $y, $this->foot() + $z - $grown, Way::Up, Way::Right, Way::Out, Part::Face);
        } else {
            // Its clear opening grown on every side, the raked one measured square to it.
            $wide = $width->roundedDown($terms->format->fine())->result->toDouble();
            $upper = fn (float $across): float => $top + $rise * ($across - $grown) - ($ms - $grown) * hypot(1.0, $rise) - $z + $grown;
            [$atLeft, $atRight] = [$upper(0.0), $upper($wide)];
            $long = Working::start('its higher edge in the frame', Length::ofDouble(max($atLeft, $atRight)));
            $outline = new Outline(Polygon::raked($atLeft, $atRight, $wide));
            $piece = $this->site->make->shaped($role, 'Door panel', $long, $width->roundedDown($terms->format->fine()), Purpose::Panel, $outline, [new Sawn('top, short', atan(abs($rise)), ' to the rake')], ['loose in the frame'], $this->site->mark($role));
            $placed = $this->site->placed($piece, $x + $ms - $grown, $y, $this->foot() + $z - $grown, Way::Up, Way::Right, Way::Out, Part::Face);
        }

        return new Assembly([$placed], array_map(fn (Placed $one) => new Joint($piece->key, $one->piece->key, JointKind::Glue, 'panels of doors', $in->toDouble()), self::around($placed, $frame)));
    }

    /**
     * Of the frame what a panel stands in.
     *
     * @param  non-empty-list<Placed>  $frame
     * @return list<Placed>
     */
    private static function around(Placed $panel, array $frame): array
    {
        return array_values(array_filter($frame, fn (Placed $one) => $panel->bounds->depth($one->bounds) > 0.0));
    }
}
