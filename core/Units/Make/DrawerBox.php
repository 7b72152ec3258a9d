<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Terms;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * A box without a lid that moves: two sides, front and back butted between them, and a bottom in grooves all round. Its sizes are
 * the outer ones; it stands with its left back foot at a place of the opening.
 */
final readonly class DrawerBox
{
    /** @param string $number of the drawer in its opening, in keys and marks */
    public function __construct(private OpeningSite $site, private string $number, private Working $width, private Working $height, private Working $depth)
    {
    }

    public function build(float $x, float $y, float $z): Assembly
    {
        $terms = $this->site->terms;
        $t = $terms->materials->for(Purpose::Drawer)->thickness;
        $thick = $t->toDouble();
        $groove = self::groove($terms);
        $between = $this->width->minusTimes('two sides', 2, $t);
        $wide = $this->width->result->toDouble();
        $deep = $this->depth->result->toDouble();
        $piece = fn (string $role, string $name, Working $length, string $joint) => $this->site->make->moving("drawer-$this->number-$role", $name, $length, $this->height, Purpose::Drawer, Grain::Length, [], [$joint], $this->mark($role));
        $left = $this->site->placed($piece('side-L', 'Drawer side', $this->depth, 'front and back butt against it'), $x, $y, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
        $right = $this->site->placed($piece('side-R', 'Drawer side', $this->depth, 'front and back butt against it'), $x + $wide - $thick, $y, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
        $back = $this->site->placed($piece('back', 'Drawer back', $between, 'between the sides'), $x + $thick, $y, $z, Way::Right, Way::Up, Way::Out, Part::Loose);
        $front = $this->site->placed($piece('front', 'Drawer box front', $between, 'between the sides'), $x + $thick, $y + $deep - $thick, $z, Way::Right, Way::Up, Way::Out, Part::Loose);
        // In its grooves it has a millimetre of play at each end.
        $play = self::play($terms);
        $in = fn (Working $size) => $size->minusTimes('two sides', 2, $t)->plusTimes('into the grooves', 2, $groove)->minus('play in the grooves', $play);
        $bottom = $this->site->make->moving("drawer-$this->number-bottom", 'Drawer bottom', $in($this->width), $in($this->depth), Purpose::Panel, Grain::Any, [], ['in grooves all round'], $this->mark('bottom'));
        $reach = $groove->toDouble() - $play->toDouble() / 2;
        $placed = [$left, $right, $front, $back, $this->site->placed($bottom, $x + $thick - $reach, $y + $thick - $reach, $z + $terms->rule(Rule::DrawerBottomUp), Way::Right, Way::Out, Way::Up, Part::Loose)];
        $joints = [];
        foreach ([$left, $right] as $side) {
            foreach ([$front, $back] as $end) {
                $joints[] = new Joint($side->piece->key, $end->piece->key, JointKind::Screws, 'drawer corners');
            }
        }
        foreach ([$left, $right, $front, $back] as $wall) {
            $joints[] = new Joint($bottom->key, $wall->piece->key, JointKind::Glue, 'drawer bottoms', $groove->toDouble());
        }

        return new Assembly($placed, $joints);
    }

    private function mark(string $role): string
    {
        return $this->site->mark("drawer-$this->number-$role");
    }

    /** Depth of a groove for a bottom: 6 mm or 1/4 in, and no more than half a side. */
    private static function groove(Terms $terms): Length
    {
        $most = Length::ofDouble($terms->rules->unit === Unit::Inch ? 6.35 : 6.0);
        $half = $terms->materials->for(Purpose::Drawer)->thickness->dividedBy(2)->roundedDown($terms->rules->unit === Unit::Inch ? Length::ofNanometres(1_587_500) : $terms->format->fine()->step);

        return $half->isLessThan($most) ? $half : $most;
    }

    private static function play(Terms $terms): Length
    {
        return $terms->rules->unit === Unit::Inch ? Length::ofNanometres(1_587_500) : Length::ofMillimetres(2);
    }
}
