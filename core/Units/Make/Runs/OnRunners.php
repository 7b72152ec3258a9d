<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * Boxes that slide on runners of wood under their sides, waxed: a runner is the kicker of the drawer below it, the top one has kickers
 * of its own; behind a frame guides beside the box keep it straight.
 */
final readonly class OnRunners implements Run
{
    /** What a runner takes of the height, with play over the box below it; what the top box is lower by; how far runners reach in: mm and inches. */
    private const TAKES = [22.0, 7 / 8];

    private const AT_TOP = [24.0, 15 / 16];

    private const REACHES = [20.0, 3 / 4];

    private const UP = [2.0, 1 / 16];

    public function air(HouseRules $rules, bool $isTop): Length
    {
        return $isTop ? $rules->either(...self::AT_TOP) : $rules->either(...self::TAKES)->minus($rules->get(Rule::PairGap));
    }

    public function under(HouseRules $rules): ?Length
    {
        return null;
    }

    public function lowest(): float
    {
        return 60.0;
    }

    public function narrowest(): Length
    {
        return Length::ofMillimetres(120);
    }

    public function shallowest(HouseRules $rules, Catalogue $materials): Length
    {
        return $rules->either(200, 8)->plus($this->behind($rules));
    }

    public function behind(HouseRules $rules): Length
    {
        return $rules->get(Rule::SlideEnd);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()->minus('play between the stiles', $site->terms->rules->either(3, 1 / 8))->roundedDown($site->terms->format->fine());
    }

    public function length(OpeningSite $site, Length $free): ?Length
    {
        return $free->isLessThan($site->terms->rules->either(200, 8)) ? null : $free->roundedDown($site->terms->format->step);
    }

    public function up(HouseRules $rules): float
    {
        return $rules->either(...self::UP)->toDouble();
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        return (new DrawerBox($site, $number, $width, $height, Working::start('depth that is free', $length), null, false, ...$dividers))->build($x, $y1 - $length->toDouble(), $up);
    }

    public function carried(OpeningSite $site, string $number, DrawerBody $body, Length $length, float $y1, float $up, ?float $head): Assembly
    {
        $t = $site->terms->board();
        // Low over a board there is no room for a runner as thick as the box: a strip is ripped as high as what is left.
        $runners = $this->pair($site, "drawer-$number-runner", 'Runner', $y1 - $length->toDouble(), $up >= $t ? $up - $t : 0.0, $up >= $t ? null : $up);
        $kickers = $head === null ? new Assembly([]) : $this->pair($site, "drawer-$number-kicker", 'Kicker', $y1 - $length->toDouble(), $head - $site->terms->rules->either(...self::REACHES)->toDouble(), null);

        return Assembly::all($runners, $kickers, $this->guides($site, $number, $y1 - $length->toDouble(), $up));
    }

    /**
     * Strips at both sides from the back to the frame.
     *
     * @param  ?float  $high  how high they are ripped, on edge under the box's sides; lying flat where it is null; mm
     */
    private function pair(OpeningSite $site, string $role, string $name, float $y, float $z, ?float $high): Assembly
    {
        [$in, $out] = $site->frame();
        $clear = $site->width()->result->toDouble();
        $reach = $site->terms->rules->either(...self::REACHES);
        $long = $this->long($site, $y);
        $placed = $joints = [];
        foreach ([['L', $in, $site->beside()[0]], ['R', $out, $site->beside()[1]]] as [$hand, $frame, $board]) {
            $width = $high === null ? Working::start('what the frame stands inside the board', Length::ofDouble($frame))->plus('under the box', $reach) : Working::start('what is left under the box', Length::ofDouble($high));
            $piece = $site->make->moving("$role-$hand", $name, $long, $width, Purpose::Carcass, Grain::Length, [], ['screwed to the side, waxed'], $site->mark("$role-$hand"));
            $across = $high === null ? $piece->width->result->toDouble() : $site->terms->board();
            $x = match (true) {
                $high !== null => $hand === 'L' ? $frame : $clear - $frame - $across,
                default => $hand === 'L' ? 0.0 : $clear - $across,
            };
            $placed[] = $high === null
                ? $site->placed($piece, $x, $y, $z, Way::Out, Way::Right, Way::Up, Part::Cleat)
                : $site->placed($piece, $x, $y, $z, Way::Out, Way::Up, Way::Right, Part::Cleat);
            $joints = $high === null ? [...$joints, new Joint($piece->key, $board, JointKind::Screws, 'runners under drawers')] : $joints;
        }

        return new Assembly($placed, $joints);
    }

    /** Strips on the runners that fill what the frame stands inside the boards. */
    private function guides(OpeningSite $site, string $number, float $y, float $up): Assembly
    {
        [$in, $out] = $site->frame();
        $clear = $site->width()->result->toDouble();
        $placed = [];
        foreach ([['L', $in], ['R', $out]] as [$hand, $frame]) {
            if ($frame < 3.0) {
                continue;
            }
            $piece = $site->make->moving("drawer-$number-guide-$hand", 'Guide', $this->long($site, $y), Working::start('what the frame stands inside the board', Length::ofDouble($frame)), Purpose::Carcass, Grain::Length, [], ['screwed to the runner'], $site->mark("drawer-$number-guide-$hand"));
            $placed[] = $site->placed($piece, $hand === 'L' ? 0.0 : $clear - $piece->width->result->toDouble(), $y, $up, Way::Out, Way::Right, Way::Up, Part::Cleat);
        }

        return new Assembly($placed);
    }

    private function long(OpeningSite $site, float $y): Working
    {
        return Working::start('from its back to the front edges of the boards', Length::ofDouble(min($site->face() - $site->terms->frame()->toDouble(), $site->front()) - $y));
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        return [];
    }

    /** It is not drawn out whole: the last of it keeps it level. */
    public function travel(Length $length): float
    {
        return $length->toDouble() - 100.0;
    }
}
