<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/** The way of a cable along the rear of a board over an opening: two strips under it, and a cover that is screwed over them. */
final readonly class CableChannel
{
    /** Room for a cable between its strips and over its profile, mm and inches. */
    private const ROOM = [4.0, 0.1875];

    public function __construct(private OpeningSite $site)
    {
    }

    /**
     * @param  Placed  $board  over the opening
     * @param  Length  $cable  how thick the cable is
     * @param  Length  $high  of the profile that it serves
     */
    public function under(Placed $board, Length $cable, Length $high): Assembly
    {
        $site = $this->site;
        $terms = $site->terms;
        $room = $terms->rules->either(...self::ROOM);
        $length = Working::start('clear width', $site->width()->roundedDown($terms->format)->result);
        $deep = Working::start('height of the profile', $high)->plus('room for the cable', $room);
        $thick = $terms->materials->for(Purpose::Frame)->thickness;
        $name = $site->mark('cable');
        $strip = fn (string $role) => $site->make->inner("cable-$role", 'Strip of a cable channel', $length, $deep, Purpose::Frame, Grain::Length, [], ['glued under the board over it'], null, "$name-$role");
        $top = $site->height()->result->toDouble();
        // Under a slope the board begins before that.
        $from = max($board->bounds->v0 - $site->at(0.0, 0.0, 0.0)->y, $site->nailerBetween($top - $deep->result->toDouble() - $terms->materials->back->thickness->toDouble(), $top));
        $apart = $thick->plus($cable)->plus($room);
        $rear = $strip('back');
        $tall = $rear->width->result->toDouble();
        $x = ($site->width()->result->toDouble() - $rear->length->result->toDouble()) / 2;
        $strips = [
            $site->placed($rear, $x, $from, $top - $tall, Way::Right, Way::Up, Way::Out, Part::Cleat),
            $site->placed($strip('front'), $x, $from + $apart->toDouble(), $top - $tall, Way::Right, Way::Up, Way::Out, Part::Cleat),
        ];
        $wide = Working::start('cable', $cable)->plus('room for it', $room)->plusTimes('strips', 2, $thick);
        $cover = $site->placed($piece = $site->make->inner('cable-cover', 'Cover of a cable channel', $length, $wide, Purpose::Back, Grain::Length, [], ['screwed under both strips, so that the cable is reached'], null, "$name-cover"), $x, $from, $top - $tall - $terms->materials->back->thickness->toDouble(), Way::Right, Way::Out, Way::Up, Part::Loose);
        $joints = array_map(fn (Placed $one) => new Joint($one->piece->key, $board->piece->key, JointKind::Glue, 'cable channels'), $strips);

        return new Assembly([...$strips, $cover], [...$joints, ...array_map(fn (Placed $one) => new Joint($piece->key, $one->piece->key, JointKind::Screws, 'cable channels'), $strips)]);
    }
}
