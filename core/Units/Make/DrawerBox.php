<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\DrawerCorner;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A box without a lid that moves: two sides, front and back between them, butted or in rabbets, and a bottom in grooves all round, or
 * open at the back, which then stands on it. Its sizes are the outer ones; it stands with its left back foot at a place of the opening.
 */
final readonly class DrawerBox
{
    /** A divider ends so far under the upper edge, in mm and in inches. */
    private const DIVIDERS_UNDER = [10.0, 3 / 8];

    private Length $t;

    private float $thick;

    private Length $up;

    /**
     * @param  string  $number  of the drawer in its opening, in keys and marks
     * @param  ?Length  $up  of its bottom over its foot; as the rules say unless its slides ask for more
     * @param  int  $across  dividers from side to side
     * @param  int  $along  dividers from front to back
     */
    public function __construct(
        private OpeningSite $site,
        private string $number,
        private Working $width,
        private Working $height,
        private Working $depth,
        ?Length $up = null,
        private bool $isOpenBehind = false,
        private int $across = 0,
        private int $along = 0,
    ) {
        $this->t = $site->terms->materials->for(Purpose::Drawer)->thickness;
        $this->thick = $this->t->toDouble();
        $this->up = $up ?? $site->terms->rules->get(Rule::DrawerBottomUp);
    }

    public function build(float $x, float $y, float $z): DrawerBody
    {
        $isRabbeted = $this->site->terms->rules->schools->drawerCorner === DrawerCorner::Rabbet;
        $in = $isRabbeted ? $this->half() : Length::zero();
        $between = $this->width->minusTimes('two sides', 2, $this->t);
        $between = $isRabbeted ? $between->plusTimes('into their rabbets', 2, $in) : $between;
        $wide = $this->width->result->toDouble();
        $deep = $this->depth->result->toDouble();
        $how = $isRabbeted ? 'in rabbets of the sides' : 'between the sides';
        $start = $x + $this->thick - $in->toDouble();
        $thin = $this->site->terms->materials->for(Purpose::Panel)->thickness;
        $onBottom = $this->isOpenBehind ? $this->height->minus('stands on the bottom', $this->up->plus($thin)) : $this->height;
        $left = $this->site->placed($this->wall('side-L', 'Drawer side', $this->depth, $this->height, $isRabbeted ? 'rabbets for front and back' : 'front and back butt against it'), $x, $y, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
        $right = $this->site->placed($this->wall('side-R', 'Drawer side', $this->depth, $this->height, $isRabbeted ? 'rabbets for front and back' : 'front and back butt against it'), $x + $wide - $this->thick, $y, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
        $back = $this->site->placed($this->wall('back', 'Drawer back', $between, $onBottom, $how), $start, $y, $z + ($this->isOpenBehind ? $this->floor() : 0.0), Way::Right, Way::Up, Way::Out, Part::Loose);
        $front = $this->site->placed($this->wall('front', 'Drawer box front', $between, $this->height, $how), $start, $y + $deep - $this->thick, $z, Way::Right, Way::Up, Way::Out, Part::Loose);
        $joints = [];
        foreach ([$left, $right] as $side) {
            foreach ([$front, $back] as $end) {
                $joints[] = $isRabbeted
                    ? new Joint($end->piece->key, $side->piece->key, JointKind::Glue, 'drawer corners', $in->toDouble())
                    : new Joint($side->piece->key, $end->piece->key, JointKind::Screws, 'drawer corners');
            }
        }
        $built = Assembly::all(
            new Assembly([$left, $right, $front, $back], $joints),
            $this->bottom($x, $y, $z, [$left, $right, $front], $back),
            $this->dividers($x + $this->thick, $y + $this->thick, $z + $this->floor()),
        );

        return new DrawerBody($built, $front->piece->key, $left->piece->key, $right->piece->key, $deep, $this->height->result->toDouble(), 2 * $in->toDouble());
    }

    private function wall(string $role, string $name, Working $length, Working $height, string $joint): Piece
    {
        return $this->site->make->moving("drawer-$this->number-$role", $name, $length, $height, Purpose::Drawer, Grain::Length, [], [$joint], $this->mark($role));
    }

    /** How high the upper face of its bottom lies over its foot, mm. */
    private function floor(): float
    {
        return $this->up->toDouble() + $this->site->terms->materials->for(Purpose::Panel)->thickness->toDouble();
    }

    /**
     * In its grooves it has a millimetre of play at each end; open behind, it ends with the back, which is screwed to it.
     *
     * @param  non-empty-list<Placed>  $grooved
     */
    private function bottom(float $x, float $y, float $z, array $grooved, Placed $back): Assembly
    {
        $terms = $this->site->terms;
        $groove = $this->groove();
        $play = self::play($terms);
        $in = fn (Working $size) => $size->minusTimes('two sides', 2, $this->t)->plusTimes('into the grooves', 2, $groove)->minus('play in the grooves', $play);
        $half = Length::ofNanometres(intdiv($play->nanometres(), 2));
        $long = $this->isOpenBehind
            ? $this->depth->minus('front', $this->t)->plus('into its groove', $groove)->minus('play in the groove', $half)
            : $in($this->depth);
        $piece = $this->site->make->moving("drawer-$this->number-bottom", 'Drawer bottom', $in($this->width), $long, Purpose::Panel, Grain::Any, [], [$this->isOpenBehind ? 'in grooves, under the back' : 'in grooves all round'], $this->mark('bottom'));
        $reach = $groove->toDouble() - $play->toDouble() / 2;
        $placed = $this->site->placed($piece, $x + $this->thick - $reach, $this->isOpenBehind ? $y : $y + $this->thick - $reach, $z + $this->up->toDouble(), Way::Right, Way::Out, Way::Up, Part::Loose);
        $joints = array_map(fn (Placed $wall) => new Joint($piece->key, $wall->piece->key, JointKind::Glue, 'drawer bottoms', $groove->toDouble()), $this->isOpenBehind ? $grooved : [...$grooved, $back]);

        return new Assembly([$placed], $this->isOpenBehind ? [...$joints, new Joint($piece->key, $back->piece->key, JointKind::Screws, 'drawer bottoms')] : $joints);
    }

    /** Boards that divide it, half-lapped where they cross; from an inner corner on its bottom. */
    private function dividers(float $x, float $y, float $z): Assembly
    {
        if ($this->across + $this->along === 0) {
            return new Assembly([]);
        }
        $terms = $this->site->terms;
        $less = $terms->rules->either(...self::DIVIDERS_UNDER);
        $play = Length::ofNanometres(intdiv(self::play($terms)->nanometres(), 2));
        $high = $this->height->minus('its bottom', Length::ofDouble($this->floor()))->minus('under the upper edge', $less);
        $inner = fn (Working $size): Working => $size->minusTimes('two walls', 2, $this->t)->minus('play', $play);
        [$wide, $deep] = [$this->width->result->toDouble() - 2 * $this->thick, $this->depth->result->toDouble() - 2 * $this->thick];
        $half = $high->roundedDown($terms->format->fine())->result->toDouble() / 2 + 0.5;
        $at = fn (float $clear, int $count, int $i): float => $i * ($clear - $count * $this->thick) / ($count + 1) + ($i - 1) * $this->thick;
        $placed = $joints = [];
        $board = function (string $role, Working $length, int $crossings, float $clear, bool $isUpper) use ($high, $half, $at): Piece {
            $long = $length->roundedDown($this->site->terms->format->fine())->result->toDouble();
            $tall = $high->roundedDown($this->site->terms->format->fine())->result->toDouble();
            $slots = new Slots($long, $tall);
            for ($k = 1; $k <= $crossings; $k++) {
                $from = $at($clear, $crossings, $k) - ($clear - $long) / 2 - 0.15;
                $isUpper ? $slots->far($from, $from + $this->thick + 0.3, $half) : $slots->near($from, $from + $this->thick + 0.3, $half);
            }
            $outline = $crossings === 0 ? Outline::rectangle(0.0, 0.0, $long, $tall) : $slots->outline();

            return $this->site->make->shaped("drawer-$this->number-$role", 'Divider', $length->roundedDown($this->site->terms->format->fine()), $high->roundedDown($this->site->terms->format->fine()), Purpose::Drawer, $outline, [], [$crossings === 0 ? 'stands between the walls' : 'half-lapped where they cross'], $this->mark($role));
        };
        for ($i = 1; $i <= $this->across; $i++) {
            $piece = $board("divider-across-$i", $inner($this->width), $this->along, $wide, true);
            $placed[] = $this->site->placed($piece, $x + ($wide - $piece->length->result->toDouble()) / 2, $y + $at($deep, $this->across, $i), $z, Way::Right, Way::Up, Way::Out, Part::Loose);
        }
        for ($i = 1; $i <= $this->along; $i++) {
            $piece = $board("divider-along-$i", $inner($this->depth), $this->across, $deep, false);
            $placed[] = $this->site->placed($piece, $x + $at($wide, $this->along, $i), $y + ($deep - $piece->length->result->toDouble()) / 2, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
        }
        foreach ($placed as $one) {
            $joints[] = new Joint($one->piece->key, $this->site->opening->tierId.":drawer-$this->number-bottom", JointKind::Glue, 'dividers in drawers');
        }

        return new Assembly($placed, $joints);
    }

    private function mark(string $role): string
    {
        return $this->site->mark("drawer-$this->number-$role");
    }

    /** Depth of a groove for a bottom: 6 mm or 1/4 in, and no more than half a side. */
    private function groove(): Length
    {
        $most = $this->site->terms->rules->either(6, 1 / 4);
        $half = $this->half();

        return $half->isLessThan($most) ? $half : $most;
    }

    /** Half the thickness of its boards. */
    private function half(): Length
    {
        return $this->t->dividedBy(2)->roundedDown($this->site->terms->rules->unit === Unit::Inch ? Length::ofNanometres(1_587_500) : $this->site->terms->format->fine()->step);
    }

    private static function play(Terms $terms): Length
    {
        return $terms->rules->either(2, 1 / 16);
    }
}
