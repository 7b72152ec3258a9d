<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\Members\Under;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * Skirting in layers before a high plinth, up to the boxes: the lowest as high as the room's own, the rest shared evenly, n = ⌈(H − h)/s⌉,
 * what rounding leaves in the topmost; beads over the seams.
 */
final readonly class StackedSkirting
{
    /** No layer is lower, mm and inches: where one would be, the lowest is ripped. */
    private const LEAST = [30.0, 1.25];

    /** @param Length $bead over the seams; 0 where they are filled */
    public function __construct(private MemberSite $site, private Under $plinth, private Length $bead)
    {
    }

    /**
     * Heights of the layers from the floor up; null where the lowest alone is higher than the plinth.
     *
     * @return non-empty-list<Working>|null
     */
    public static function layers(Length $high, Length $first, Length $stock, HouseRules $rules, LengthFormat $format): ?array
    {
        $whole = Working::start('plinth height', $high);
        $lowest = Working::start('lowest layer', $first);
        $over = $high->minus($first);
        if (! $over->isPositive()) {
            return $over->isNegative() ? null : [$lowest];
        }
        $count = (int) ceil($over->toDouble() / $stock->toDouble() - 1e-9);
        $least = $rules->either(...self::LEAST);
        if ($over->isLessThan($least->times($count))) {
            $lowest = $whole->minusTimes('layers of the least height over it', $count, $least);
        }
        $each = $whole->minus('lowest layer', $lowest->result)->dividedBy("$count layers", $count)->roundedDown($format);

        return [$lowest, ...array_fill(0, $count - 1, $each), $count === 1 ? $whole->minus('lowest layer', $lowest->result) : $whole->minus('lowest layer', $lowest->result)->minusTimes('layers below', $count - 1, $each->result)];
    }

    /**
     * @param  non-empty-list<Working>  $layers
     * @return non-empty-list<Placed>
     */
    public function build(array $layers): array
    {
        $front = $this->plinth->front();
        $placed = [];
        $z = 0.0;
        $last = count($layers) - 1;
        foreach ($layers as $i => $layer) {
            $role = $i === 0 ? 'layer-1' : ($i === $last ? 'layer-top' : 'layer-'.($i + 1));
            $placed[] = $i === 0 ? $this->lowest($layer) : new Placed(
                $this->site->make->inner($role, $i === $last ? 'Skirting, top layer' : 'Skirting, middle layer', $this->plinth->length, $layer, Purpose::Frame, Grain::Length, [new Finished('upper, long', Finish::Eased)], ['nailed to the plinth, glued to what is below it']),
                Pose::at($this->plinth->u, $front, $z, Way::Right, Way::Up, Way::Out),
                Part::Plinth,
                $this->plinth->id,
            );
            $z += $layer->result->toDouble();
            if ($i < $last && $this->bead->isPositive()) {
                $placed[] = $this->bead($i + 1, $z);
            }
        }

        return $placed;
    }

    /** Scribed to the floor where the plinth's front is. */
    private function lowest(Working $layer): Placed
    {
        $edge = $this->site->scribed(Side::Foot);
        $high = $layer->result->toDouble();
        $notes = ['nailed to the plinth, two a bearer'];
        if ($edge?->scribe === null) {
            return new Placed($this->site->make->inner('layer-1', 'Skirting, lowest layer', $this->plinth->length, $layer, Purpose::Frame, Grain::Length, [new Finished('upper, long', Finish::Eased)], $notes), Pose::at($this->plinth->u, $this->plinth->front(), 0.0, Way::Right, Way::Up, Way::Out), Part::Plinth, $this->plinth->id);
        }
        $outline = ScribedOutline::of($edge->gap, $high, 0.0, $this->plinth->length->result->toDouble());
        $piece = $this->site->make->covering('layer-1', 'Skirting, lowest layer', $this->plinth->length, $layer->plus('overhang to scribe to the floor', $edge->scribe->blank()), Purpose::Frame, new Outline($outline), [new Scribed('lower, long', Side::Foot)], $notes);

        return new Placed($piece, Pose::at($this->plinth->u, $this->plinth->front(), $high, Way::Right, Way::Down, Way::Out), Part::Plinth, $this->plinth->id);
    }

    /** Its middle at the seam. */
    private function bead(int $number, float $seam): Placed
    {
        $piece = $this->site->make->inner("bead-$number", 'Bead over a seam', $this->plinth->length, Working::start('width of the bead', $this->bead), Purpose::Back, Grain::Any, [], ['bradded to the layer over it']);

        return new Placed($piece, Pose::at($this->plinth->u, $this->plinth->front() + $this->site->terms->materials->for(Purpose::Frame)->thickness->toDouble(), $seam - $this->bead->toDouble() / 2, Way::Right, Way::Up, Way::Out), Part::Plinth, $this->plinth->id);
    }
}
