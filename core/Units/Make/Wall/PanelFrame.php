<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Make\MitredStrip;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/** A panel that stands out from a wall between two posts, framed on one face or on both. */
final readonly class PanelFrame
{
    /**
     * @param  Working  $long  between the posts
     * @param  Working  $high  from the sole to the ledge
     * @param  Length  $strip  width of the frames
     * @param  Length  $play  of the panel, at each side
     */
    public function __construct(private SurfaceSite $site, private Working $long, private Working $high, private Length $strip, private Length $play, private bool $mitred)
    {
    }

    /**
     * @param  float  $middle  of the panel's thickness, along the wall
     * @param  float  $y  where it begins, out from the wall
     * @return list<Placed>
     */
    public function build(string $number, float $middle, float $y, float $z, int $faces): array
    {
        $make = $this->site->make;
        $terms = $this->site->terms;
        $panel = $make->inner("panel-$number", 'Panel', $this->high, $this->long->minusTimes('play at both sides', 2, $this->play), Purpose::Lining, Grain::Length, [], ['between both frames']);
        $tp = $panel->thickness->toDouble();
        $tf = $terms->materials->for(Purpose::Frame)->thickness->toDouble();
        $w = $this->strip->toDouble();
        $level = ($this->mitred ? $this->long : $this->long->minusTimes('uprights', 2, $this->strip))->roundedDown($terms->format);
        $up = $this->high->roundedDown($terms->format);
        [$long, $high] = [$level->result->toDouble(), $up->result->toDouble()];
        $whole = $this->long->roundedDown($terms->format)->result->toDouble();
        $width = Working::start('width of the frame', $this->strip);
        $placed = [$this->site->placedTo($panel, $middle - $tp / 2, $y + $this->play->toDouble(), $z, Way::Up, Way::Out, Way::Right, Part::Face)];
        for ($face = 1; $face <= $faces; $face++) {
            $x = $face === 1 ? $middle - $tp / 2 - $tf : $middle + $tp / 2;
            $how = ['glued and bradded to the panel, screwed to sole and posts'];
            $works = $this->mitred ? [new Sawn('both ends', M_PI / 4, ', a mitre')] : [];
            $strip = fn (string $role, string $name, Working $length, bool $isLowShort) => $this->mitred
                ? $make->shaped("$role-$number-$face", $name, $length, $width, Purpose::Frame, MitredStrip::outline($length->result->toDouble(), $w, $isLowShort), $works, $how, "$role-$number-$face")
                : $make->inner("$role-$number-$face", $name, $length, $width, Purpose::Frame, Grain::Length, [], $how);
            $from = $this->mitred ? $y : $y + $w;
            array_push(
                $placed,
                $this->site->placedTo($strip('frame-foot', 'Frame, level', $level, false), $x, $from, $z, Way::Out, Way::Up, Way::Right, Part::Face),
                $this->site->placedTo($strip('frame-head', 'Frame, level', $level, true), $x, $from, $z + $high - $w, Way::Out, Way::Up, Way::Right, Part::Face),
                $this->site->placedTo($strip('frame-in', 'Frame, upright', $up, false), $x, $y, $z, Way::Up, Way::Out, Way::Right, Part::Face),
                $this->site->placedTo($strip('frame-out', 'Frame, upright', $up, true), $x, $y + $whole - $w, $z, Way::Up, Way::Out, Way::Right, Part::Face),
            );
        }

        return $placed;
    }
}
