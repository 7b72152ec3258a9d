<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

use Incastro\Fit\Members\Over;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Units\Assembly;
use Incastro\Units\Fixture;
use Incastro\Units\Sites\MemberSite;

/**
 * Cushions on a seat, none cut from a sheet: how large each is when it is finished, and what is cut for it of foam and cloth. The foam
 * is 10 mm or 3/8 in larger than the cover, so that it fills it.
 */
final readonly class Cushions
{
    /** Between cushions, and at the ends: one for each; mm and inches. */
    private const PLAY = [5.0, 1 / 4];

    private const FOAM = [10.0, 3 / 8];

    private const SEAM = [15.0, 5 / 8];

    /** A cushion is no longer, mm and inches. */
    private const LONGEST = [1200.0, 48.0];

    public function __construct(private MemberSite $site, private Over $top)
    {
    }

    /**
     * @param  Length  $thick  of each
     * @param  float  $z  of the seat
     * @param  float  $behind  what a leaning back takes of the depth, mm
     * @param  int|null  $count  one for each lid; null as many as are easily lifted
     */
    public function build(Length $thick, float $z, float $behind, ?int $count): Assembly
    {
        if ($thick->isZero()) {
            return new Assembly([]);
        }
        $terms = $this->site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        $count ??= max(1, (int) ceil($this->top->length->result->toDouble() / $is(self::LONGEST)->toDouble() - 1e-9));
        $long = Working::start('length of the seat', $this->top->length->result)->minusTimes('play', $count, $is(self::PLAY))->dividedBy('cushions', $count)->roundedDown($terms->format);
        $deep = Working::start('depth of the seat', $this->top->depth->result);
        $deep = ($behind > 0.0 ? $deep->minus('leaning back', Length::ofDouble($behind)) : $deep)->minus('play', $is(self::PLAY))->roundedDown($terms->format);
        $foam = fn (Working $size) => Working::start('finished', $size->result)->plus('foam over size', $is(self::FOAM));
        $cloth = fn (Working $size) => Working::start('finished', $size->result)->plusTimes('seams', 2, $is(self::SEAM));
        $each = $count === 1 ? 'Cushion' : "Each of $count cushions";
        $block = new Block($this->top->u, $this->top->end(), $this->top->v + $behind, $this->top->front(), $z, $z + $thick->toDouble());

        return new Assembly([], [], [], [
            "$each, length" => $long,
            "$each, depth" => $deep,
            "$each, foam, length" => $foam($long),
            "$each, foam, depth" => $foam($deep),
            "$each, cover, length" => $cloth($long),
            "$each, cover, depth" => $cloth($deep),
            "$each, boxing, length" => Working::start('length', $long->result)->plusTimes('depth', 2, $deep->result)->plusTimes('seams', 2, $is(self::SEAM)),
            "$each, boxing, width" => $cloth(Working::start('thickness', $thick)),
        ], fixtures: [new Fixture('Cushion', $this->top->id, $block)]);
    }
}
