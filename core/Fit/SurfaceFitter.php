<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Layout\Surface;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\Face;
use Incastro\Survey\Room\RunFrame;

/**
 * Places what lies on a wall: where no end was chosen, as far as the wall, the floor and the ceiling leave it free; what is only
 * made up to a size stands as large as that in the middle of the wall, a little over the floor.
 */
final readonly class SurfaceFitter
{
    /** Of what is left over and under it, so much is under. */
    private const LOW = 0.2;

    public function __construct(private Terms $terms)
    {
    }

    /**
     * Null where there is no such wall, or no wall any more.
     *
     * @param  FittedSurface|null  $host  what it lies on instead of the wall itself
     * @param  list<Face>  $faces  what lies on walls already: on another wall it is where this one ends
     */
    public function fit(Surface $surface, string $mark, ?FittedSurface $host = null, array $faces = []): ?FittedSurface
    {
        if (! in_array($surface->wall, $this->terms->room->shape->walls(), true)) {
            return null;
        }
        if ($host !== null) {
            return $this->on($host, $surface, $mark);
        }
        $frame = $this->terms->room->frame($surface->wall);
        $fitted = $this->onWall($surface, $mark, $frame);
        $met = array_values(array_filter($faces, fn (Face $face) => $face->wall !== $surface->wall && $face->z0 < $fitted->z + $fitted->height->result->toDouble() && $face->z1 > $fitted->z));

        return $met === [] ? $fitted : $this->onWall($surface, $mark, $frame->facing($met));
    }

    private function onWall(Surface $surface, string $mark, RunFrame $frame): FittedSurface
    {
        $long = $frame->length();
        $foot = $surface->foot?->toDouble() ?? max(array_map(fn (float $u) => $frame->floorAt($u, 0.0), [0.0, $long / 2, $long]));
        [$from, $to] = [$surface->from?->toDouble() ?? 0.0, $surface->to?->toDouble() ?? $long];
        // Ceilings and walls beside it may come in before this one: it stays within them as far out as it stands.
        $out = max(0.0, $frame->backBulge($from, max($from, $to), $foot, max($foot, $frame->ceilingAt($from, 0.0)))) + $this->demand($surface)->thickness->toDouble();
        $depths = [0.0, $out];
        $into = -($this->demand($surface)->into?->toDouble() ?? 0.0);
        $heads = array_merge(...array_map(fn (float $v) => array_map(fn (float $u) => $frame->ceilingAt($u, $v), $frame->ceilingBreaks($from, $to, $v)), [$into, ...$depths]));
        $head = $surface->head?->toDouble() ?? min($heads);
        // Walls lean: what is a strip follows them where it lies.
        [$low, $high] = $this->demand($surface)->band?->within($foot, max($foot, $head)) ?? [$foot, max($foot, $head)];
        $heights = [$low, ...$frame->bendsBetween($low, $high), $high];
        $sides = fn (\Closure $side): array => array_merge(...array_map(fn (float $v) => array_map(fn (float $z) => $side($v, $z), $heights), $depths));
        // Beside a door or an open edge the wall itself ends.
        $free = [max(0.0, ...$sides($frame->leftAt(...))), min($long, ...$sides($frame->rightAt(...)))];
        $demand = $this->demand($surface);
        $around = $demand->around?->toDouble() ?? 0.0;
        [$left, $right] = $this->ends($surface->from, $surface->to, [$free[0] + $around, $free[1] - $around], $demand->width, 0.5);
        [$foot, $head] = $this->ends($surface->foot, $surface->head, [$foot + $around, $head - $around], $demand->height, $demand->isFromFloor ? 0.0 : self::LOW);
        $width = Working::start($surface->from === null && $surface->to === null ? 'clear width of the wall' : 'from end to end along the wall', Length::ofDouble($right - $left));
        $height = Working::start($surface->foot === null && $surface->head === null ? 'clear height of the wall' : 'from foot to head', Length::ofDouble($head - $foot));
        [$low, $high] = $demand->band?->within($foot, max($foot, $head)) ?? [$foot - $around, $head + $around];
        $v = $right > $left && $head > $foot ? max(0.0, $frame->backBulge($left - $around, $right + $around, $low, $high)) : 0.0;

        return new FittedSurface($surface, $mark, $frame, $left, $foot, $v, $width, $height, $this->findings($surface, $width, $height, $frame), $demand->thickness->toDouble());
    }

    /** In its place on what stands before the wall: plumb and as wide and high as that, where no end was chosen. */
    private function on(FittedSurface $host, Surface $surface, string $mark): FittedSurface
    {
        $demand = $this->demand($surface);
        $from = fn (?Length $end): ?Length => $end?->plus(Length::ofDouble($host->u));
        [$left, $right] = $this->ends($from($surface->from), $from($surface->to), [$host->u, $host->end()], $demand->width, 0.5);
        [$foot, $head] = $this->ends($surface->foot, $surface->head, [$host->z, $host->z + $host->height->result->toDouble()], $demand->height, $demand->isFromFloor ? 0.0 : self::LOW);
        $width = Working::start('width on '.$host->mark, Length::ofDouble($right - $left));
        $height = Working::start('height on '.$host->mark, Length::ofDouble($head - $foot));

        return new FittedSurface($surface, $mark, $host->frame, $left, $foot, $host->front(), $width, $height, $this->findings($surface, $width, $height, $host->frame), $demand->thickness->toDouble(), $host);
    }

    /**
     * Where it begins and ends between two free ends: as chosen, or as far as these; no larger than it is made, at a share of what is
     * then left over.
     *
     * @param  array{float, float}  $free  mm
     * @return array{float, float}
     */
    private function ends(?Length $from, ?Length $to, array $free, Extent $extent, float $share): array
    {
        $most = $extent->most?->toDouble() ?? INF;
        $over = max(0.0, $free[1] - $free[0] - $most);

        return match (true) {
            $from !== null && $to !== null => [$from->toDouble(), $to->toDouble()],
            $from !== null => [$from->toDouble(), min($free[1], $from->toDouble() + $most)],
            $to !== null => [max($free[0], $to->toDouble() - $most), $to->toDouble()],
            default => [$free[0] + $over * $share, $free[1] - $over * (1.0 - $share)],
        };
    }

    private function demand(Surface $surface): SurfaceDemand
    {
        return $surface->holds->demand($this->terms->rules, $this->terms->materials);
    }

    /** @return list<Finding> */
    private function findings(Surface $surface, Working $width, Working $height, RunFrame $frame): array
    {
        $demand = $this->demand($surface);
        $short = fn (Extent $extent, Working $size, string $what): array => $extent->least->isGreaterThan($size->result)
            ? [Finding::clash(Code::TooSmall, sprintf('On the %s it is %s %s: %s.', $this->terms->room->shape->wallName($frame->wall), $this->terms->format->write($size->result), $what, sprintf($extent->why, $this->terms->format->write($extent->least))), $surface->id)
                ->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($surface->id))])]
            : [];

        $large = fn (Extent $extent, Working $size, string $what): array => $extent->most?->isLessThan($size->result) === true
            ? [Finding::clash(Code::TooLarge, sprintf('It is %s %s; it is made no more than %s.', $this->terms->format->write($size->result), $what, $this->terms->format->write($extent->most)), $surface->id)
                ->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($surface->id))])]
            : [];

        return [...$short($demand->width, $width, 'wide'), ...$short($demand->height, $height, 'high'), ...$large($demand->width, $width, 'wide'), ...$large($demand->height, $height, 'high')];
    }
}
