<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/** Shallow trays on strips along the sides: a base with low lips at its sides and behind, and the front before it. */
final readonly class OnStrips implements Run
{
    /** A lip so high keeps paper in; strips so high lift a tray over the one below; in mm and in inches. */
    private const LIP = [25.0, 1.0];

    private const STRIP = [10.0, 3 / 8];

    /** A base thinner than this bows under paper, mm. */
    private const THIN = 8.0;

    private static function play(HouseRules $rules): Length
    {
        return $rules->either(3, 1 / 8);
    }

    /** What its base is made of: the panels of drawers where these are thick enough, else their boards. */
    private static function base(Catalogue $materials): Purpose
    {
        return $materials->for(Purpose::Panel)->thickness->toDouble() < self::THIN ? Purpose::Drawer : Purpose::Panel;
    }

    public function air(HouseRules $rules, bool $isTop): Length
    {
        return $rules->either(...self::STRIP);
    }

    public function under(HouseRules $rules): ?Length
    {
        return null;
    }

    public function lowest(): float
    {
        return 30.0;
    }

    public function narrowest(): Length
    {
        return Length::ofMillimetres(300);
    }

    public function shallowest(HouseRules $rules, Catalogue $materials): Length
    {
        return Length::ofMillimetres(250)->plus($this->behind($rules));
    }

    public function behind(HouseRules $rules): Length
    {
        return $rules->get(Rule::SlideEnd);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()->minus('play between the stiles', self::play($site->terms->rules))->roundedDown($site->terms->format->fine());
    }

    public function length(OpeningSite $site, Length $free): ?Length
    {
        return $free->toDouble() < 250.0 ? null : $free->roundedDown($site->terms->format->step);
    }

    public function up(HouseRules $rules): float
    {
        return $rules->either(...self::STRIP)->toDouble();
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        $terms = $site->terms;
        $purpose = self::base($terms->materials);
        $thick = $terms->materials->for($purpose)->thickness->toDouble();
        $thin = $terms->materials->for(Purpose::Drawer)->thickness;
        $depth = Working::start('depth that is free', $length);
        $deep = $length->toDouble();
        $base = $site->make->moving("drawer-$number-base", 'Tray base', $width, $depth, $purpose, Grain::Length, [], ['on strips'], $site->mark("drawer-$number-base"));
        $y = $y1 - $deep;
        $placed = [$site->placed($base, $x, $y, $up, Way::Right, Way::Out, Way::Up, Part::Loose)];
        $high = Working::start('height of a lip', $terms->rules->either(...self::LIP))->atMost('what is clear over the base', Length::ofDouble($height->result->toDouble() - $thick - 2.0));
        $lip = fn (string $role, Working $long) => $site->make->moving("drawer-$number-$role", 'Tray lip', $long, $high, Purpose::Drawer, Grain::Length, [new Finished('upper, long', Finish::Banded)], ['glued to the base'], $site->mark("drawer-$number-$role"));
        $sides = $depth->minus('lip behind', $thin);
        $wide = $width->result->toDouble();
        $behind = $site->placed($back = $lip('back', $width), $x, $y, $up + $thick, Way::Right, Way::Up, Way::Out, Part::Loose);
        $left = $site->placed($lipL = $lip('side-L', $sides), $x, $y + $thin->toDouble(), $up + $thick, Way::Out, Way::Up, Way::Right, Part::Loose);
        $right = $site->placed($lipR = $lip('side-R', $sides), $x + $wide - $thin->toDouble(), $y + $thin->toDouble(), $up + $thick, Way::Out, Way::Up, Way::Right, Part::Loose);
        $joints = array_map(fn ($piece) => new Joint($base->key, $piece->key, JointKind::Screws, 'trays'), [$back, $lipL, $lipR]);

        return new DrawerBody(new Assembly([...$placed, $behind, $left, $right], $joints), $base->key, $base->key, $base->key, $deep, $thick + $high->result->toDouble());
    }

    public function carried(OpeningSite $site, string $number, DrawerBody $body, Length $length, float $y1, float $up, ?float $head): Assembly
    {
        $terms = $site->terms;
        [$in, $out] = $site->frame();
        $strip = $terms->rules->either(...self::STRIP);
        $thick = $terms->materials->for(Purpose::Drawer)->thickness->toDouble();
        $clear = $site->width()->result->toDouble();
        $y = $y1 - $length->toDouble();
        $long = Working::start('depth of the tray', $length)->minus('ends behind its front', self::play($terms->rules))->atMost('behind the face frame', Length::ofDouble($site->face() - $terms->frame()->toDouble() - $y));
        $placed = $joints = [];
        foreach ([['L', $in, $site->beside()[0]], ['R', $out, $site->beside()[1]]] as [$hand, $frame, $board]) {
            // Behind a frame a strip reaches to where the tray runs, lying flat; it stands on edge where it is no wider than thick.
            $isFlat = $frame > 0.5;
            $wide = $isFlat ? Working::start('what the frame stands inside the board', Length::ofDouble($frame))->plus('under the tray', $strip) : Working::start('height of a strip', $strip);
            $piece = $site->make->moving("drawer-$number-strip-$hand", 'Strip', $long, $wide, Purpose::Drawer, Grain::Length, [], ['screwed to the side, waxed'], $site->mark("drawer-$number-strip-$hand"));
            $across = $isFlat ? $piece->width->result->toDouble() : $thick;
            $x = $hand === 'L' ? 0.0 : $clear - $across;
            $placed[] = $isFlat
                ? $site->placed($piece, $x, $y, $up - $thick, Way::Out, Way::Right, Way::Up, Part::Cleat)
                : $site->placed($piece, $x, $y, $up - $piece->width->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Cleat);
            $joints[] = new Joint($piece->key, $board, JointKind::Screws, 'strips under trays');
        }

        return new Assembly($placed, $joints);
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        return [];
    }

    /** A tray is not drawn out whole: the last of it keeps it level. */
    public function travel(Length $length): float
    {
        return $length->toDouble() - 100.0;
    }
}
