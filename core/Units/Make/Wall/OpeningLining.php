<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;

/** What lines an opening of a wall: jambs in full, head and, off the floor, sill between them, flush with the skin; and the back of a niche. */
final readonly class OpeningLining
{
    /** A niche's back is so much smaller than the opening, mm and inches. */
    private const LOOSE = [2.0, 1 / 16];

    /** @param Length $shim between the lining and the framing */
    public function __construct(private SurfaceSite $site, private RoughOpening $hole, private Length $shim, private Purpose $purpose)
    {
    }

    /**
     * @param  float  $back  where the lining begins, out from where the wall begins
     * @param  Working  $deep  to the face of the skin
     * @return list<Placed>
     */
    public function build(float $back, Working $deep, bool $hasBack): array
    {
        $terms = $this->site->terms;
        $tn = $terms->materials->for($this->purpose)->thickness;
        $sg = $this->shim->toDouble();
        $upright = Working::start('height of the opening', Length::ofDouble($this->hole->height))->minusTimes('shims', 2, $this->shim);
        $level = Working::start('width of the opening', Length::ofDouble($this->hole->width))->minusTimes('shims', 2, $this->shim)->minusTimes('jambs', 2, $tn);
        $out = $deep->result->toDouble();
        // Its front is trimmed flush with the skin: the blank is rounded up.
        $make = fn (string $role, string $name, Working $length): Piece => $this->site->make->covering($role, $name, $length->roundedDown($terms->format), $deep, $this->purpose, Outline::rectangle(0.0, 0.0, $length->roundedDown($terms->format)->result->toDouble(), $out), [new Finished('front, long', Finish::Straight)], ['screwed to the framing, its front trimmed flush with the skin']);
        [$x, $z] = [$this->hole->x + $sg, $this->hole->z + $sg];
        $t = $tn->toDouble();
        $placed = [
            $this->site->placedTo($make('jamb-L', 'Lining, jamb', $upright), $x, $back, $z, Way::Up, Way::Out, Way::Right, Part::Body),
            $this->site->placedTo($make('jamb-R', 'Lining, jamb', $upright), $this->hole->right() - $sg - $t, $back, $z, Way::Up, Way::Out, Way::Right, Part::Body),
            $this->site->placedTo($make('lining-head', 'Lining, head', $level), $x + $t, $back, $this->hole->head() - $sg - $t, Way::Right, Way::Out, Way::Up, Part::Body),
            // Over a passage one walks on the floor.
            ...($this->hole->isFromFloor() ? [] : [$this->site->placedTo($make('lining-sill', 'Lining, sill', $level), $x + $t, $back, $z, Way::Right, Way::Out, Way::Up, Part::Body)]),
        ];
        if ($hasBack) {
            $less = $terms->rules->either(...self::LOOSE);
            $behind = $this->site->make->inner('niche-back', 'Back of the niche', $upright->minus('play', $less), Working::start('width of the opening', Length::ofDouble($this->hole->width))->minusTimes('shims', 2, $this->shim)->minus('play', $less), Purpose::Back, Grain::Length, [], ['laid on behind before the lining goes in']);
            $placed[] = $this->site->placed($behind, $x + $less->toDouble() / 2, $back - $terms->materials->back->thickness->toDouble(), $z + $less->toDouble() / 2, Way::Up, Way::Right, Part::Back);
        }

        return $placed;
    }
}
