<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/** What brings slides flush with the frame: boards beside each side, or a strip on edge where the frame stands further in. */
final readonly class Packers
{
    /** What of the air beside boards is filled by a shim, mm. */
    private const SHIM = 3.0;

    /** @param int $high how wide a board is across the line of its slide, mm */
    public function __construct(private OpeningSite $site, private int $high = 60)
    {
    }

    /**
     * @param  string  $prefix  of their roles: "drawer-1"
     * @param  float  $y1  where the back of the front stands
     * @param  float  $line  height of the slides; both in the opening, mm
     */
    public function build(string $prefix, Length $slide, float $y1, float $line): Assembly
    {
        $site = $this->site;
        [$left, $right] = $site->frame();
        $t = $site->terms->board();
        $wide = $site->width()->result->toDouble();
        $y = $y1 - $slide->toDouble() - $site->terms->rule(Rule::SlideFront);
        // The slides reach into the frame where fronts lap over it; what packs them out ends behind it.
        $long = Working::start('length of the slides', $slide)->atMost('behind the face frame', Length::ofDouble($site->face() - $site->terms->frame()->toDouble() - $y));
        $placed = $joints = [];
        $beside = $site->beside();
        foreach ([['L', $left, $beside[0]], ['R', $right, $beside[1]]] as [$hand, $in, $side]) {
            $boards = (int) floor(($in + 1e-6) / $t);
            $isFilled = $boards >= 1 && $in - $boards * $t <= self::SHIM;
            if ($in < self::SHIM) {
                continue;
            }
            $across = $isFilled ? Working::start('packer width', Length::ofMillimetres($this->high)) : Working::start('what the frame stands inside the board', Length::ofDouble($in));
            for ($k = 0; $k < ($isFilled ? $boards : 1); $k++) {
                $role = "$prefix-packer-$hand".($k === 0 ? '' : '-'.($k + 1));
                $piece = $site->make->inner($role, 'Packer', $long, $across, Purpose::Carcass, Grain::Any, [], $isFilled ? ['screwed to the side'] : ['on edge, screwed to the side'], null, $site->mark($role));
                $deep = $piece->width->result->toDouble();
                $placed[] = $isFilled
                    ? $site->placed($piece, $hand === 'L' ? $k * $t : $wide - ($k + 1) * $t, $y, $line - $deep / 2, Way::Out, Way::Up, Way::Right, Part::Cleat)
                    : $site->placed($piece, $hand === 'L' ? 0.0 : $wide - $deep, $y, $line - $t / 2, Way::Out, Way::Right, Way::Up, Part::Cleat);
                $joints[] = new Joint($piece->key, $k === 0 ? $side : $placed[count($placed) - 2]->piece->key, JointKind::Screws, 'packers to the sides');
            }
        }

        return new Assembly($placed, $joints);
    }

    /** What a slide at a hand is screwed to: the innermost packer, or the board where there is none. */
    public static function carrier(Assembly $packers, string $hand, string $board): string
    {
        $beside = array_filter($packers->placed, fn (Placed $packer) => str_contains($packer->piece->key, "-packer-$hand"));

        return $beside === [] ? $board : $beside[array_key_last($beside)]->piece->key;
    }
}
