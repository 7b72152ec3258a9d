<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** The tools owned, and how many people stand at them: which cuts can be made, and how. A tool that is absent makes none. */
final readonly class Tools
{
    /** A guide lies steady on a part from this width, nm: on a narrower one a board of the same thickness lies beside it. */
    public const STEADY = 100_000_000;

    /** A narrower piece has the guide on the waste instead of on itself, nm. */
    private const GUIDE_ON_WASTE = 150_000_000;

    /** The heaviest part on a sled, kg. */
    private const SLED_CARRIES = 10.0;

    public function __construct(public ?TableSaw $table, public ?GuidedSaw $guided, public ?MitreSaw $mitre, public int $people = 1, public ?Yard $yard = null)
    {
    }

    /** What a table saw's people push, kg; 0 without one. */
    public function push(): float
    {
        return match (true) {
            $this->table === null => 0.0,
            $this->people > 1 => $this->table->pushTwo,
            default => $this->table->pushAlone,
        };
    }

    /**
     * The ways in which a cut can be made, the handiest first. Source: the saws' own limits, as the home states them; a part that is
     * set off against a fence must lie along it for at least 300 mm and for as much as it is wide, or it turns.
     *
     * @param  int  $line  how long the cut is
     * @param  int  $size  what is set: the width of what is cut off
     * @param  int  $left  how much of the part lies beyond the cut
     * @param  float  $kg  of the part that is cut
     * @return list<Way>
     */
    public function ways(CutClass $class, int $line, int $size, int $left, int $thickness, float $kg): array
    {
        $isAcross = $class === CutClass::Crosscut;
        $ways = [
            [Way::Stop, $isAcross && $this->stops($line, $size, $thickness)],
            [Way::Sled, $isAcross && $this->sleds($line, $size, $thickness, $kg)],
            [Way::Fence, ! $isAcross && $this->fences($line, $size, $thickness, $kg)],
            [$size < self::GUIDE_ON_WASTE && $left >= self::STEADY ? Way::GuideOnWaste : Way::GuideOnPiece, $this->guides($line, $thickness)],
            [Way::Fence, $isAcross && $this->fences($line, $size, $thickness, $kg)],
        ];

        return array_values(array_map(fn (array $way) => $way[0], array_filter($ways, fn (array $way) => $way[1])));
    }

    /** Where the guide's edge comes to lie, from the edge that is measured from, nm; null where no guide lies. */
    public function guideAt(Way $way, int $size): ?int
    {
        return match (true) {
            $this->guided === null => null,
            $way === Way::GuideOnPiece => $size + $this->setOff($way),
            $way === Way::GuideOnWaste => $size + $this->guided->kerf + $this->setOff($way),
            default => null,
        };
    }

    /** How far from the size a saw is set, nm: as its scale is off, or as the guide's edge is not the line. */
    public function setOff(Way $way): int
    {
        return match ($way) {
            Way::Fence => $this->table->correction ?? 0,
            Way::Stop => $this->mitre->correction ?? 0,
            Way::GuideOnPiece => -($this->guided->offset ?? 0),
            Way::GuideOnWaste => $this->guided->offsetWaste ?? 0,
            Way::Sled, Way::Yard => 0,
        };
    }

    private function stops(int $line, int $size, int $thickness): bool
    {
        return $this->mitre !== null && $line <= $this->mitre->widest && $thickness <= $this->mitre->height && $size <= $this->mitre->stop && $size >= $this->mitre->leastHeld;
    }

    private function sleds(int $line, int $size, int $thickness, float $kg): bool
    {
        return $this->table?->sledWidest !== null && $line <= $this->table->sledWidest && $size <= $this->table->sledStop && $thickness <= $this->table->height && $kg <= self::SLED_CARRIES;
    }

    private function fences(int $line, int $size, int $thickness, float $kg): bool
    {
        return $this->table !== null && $size <= $this->table->rip && $thickness <= $this->table->height && $line >= max($this->table->leastContact, $size)
            && $kg <= $this->push() && ($this->table->hasOutfeed || $this->people > 1 || $line <= $this->table->longestAlone);
    }

    private function guides(int $line, int $thickness): bool
    {
        return $this->guided !== null && $line <= $this->guided->reach() && $thickness <= $this->guided->depth;
    }
}
