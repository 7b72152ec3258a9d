<?php

declare(strict_types=1);

namespace Incastro\Pieces\Marks;

use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/**
 * What one joint leaves on one of its pieces, in the piece's own x and y, mm: the centres of holes, or both ends of the middle
 * of a line or band. `across` is a hole's diameter or a band's width; a depth of null goes through.
 */
final readonly class Mark
{
    /** Holes of different joints lie at least so far apart, from middle to middle, and leave so much wood between them; mm. */
    private const APART = 8.0;

    private const BETWEEN = 1.0;

    /**
     * @param  non-empty-list<Point>  $at
     * @param  bool  $isUp  on the face that lies up in the piece's drawing, seen or carried through to it
     * @param  string  $partner  mark of the piece that meets it there
     */
    public function __construct(
        public MarkKind $kind,
        public array $at,
        public bool $isUp,
        public string $partner,
        public float $across = 0.0,
        public ?float $depth = null,
    ) {
    }

    /**
     * As it is told to a person: what, for which piece, and where from the piece's 0.
     *
     * @param  bool  $isTurned  whether the piece lies with its other face up
     */
    public function words(LengthFormat $format, bool $isTurned): string
    {
        $mm = fn (float $long): string => $format->finest()->write(Length::ofDouble($long));
        $size = match (true) {
            $this->kind->isHole() && $this->across > 0.0 => ' Ø '.$mm($this->across),
            $this->across > 0.0 => ' '.$mm($this->across).' wide',
            default => '',
        }.($this->depth === null ? '' : ', '.$mm($this->depth).' deep');
        $count = $this->kind->isHole() ? count($this->at) : 1;
        $face = $this->kind === MarkKind::Pilot ? '' : ($this->isUp !== $isTurned ? '' : ', on the other face');

        return sprintf('%s%s%s for %s%s: %s', $count > 1 ? "$count " : '', $this->kind->label($count), $size, $this->partner, $face, $this->places($format));
    }

    /** "33 along; 50 · 195 · 341 · 486 across": what is the same of all is told once. */
    private function places(LengthFormat $format): string
    {
        $written = fn (callable $side): string => implode(' · ', array_unique(array_map(fn (Point $point) => $format->withoutUnit(Length::ofDouble($side($point))), $this->at)));

        return $written(fn (Point $point) => $point->x).' along; '.$written(fn (Point $point) => $point->y).' across';
    }

    /** How far apart a hole of a diameter and one of these must lie, from middle to middle, mm. */
    public function apart(float $across): float
    {
        return max(self::APART, ($this->across + $across) / 2 + self::BETWEEN);
    }

    /** Whether a hole of a diameter would be in its way: too near one of its holes, or in its groove. Of what is drawn only: never. */
    public function isNear(Point $hole, float $across): bool
    {
        if (! $this->kind->isCut() || $this->kind === MarkKind::Pilot) {
            return false;
        }
        if (! $this->kind->isHole()) {
            return $this->isIn($hole);
        }
        $apart = $this->apart($across) - 1e-6;
        foreach ($this->at as $at) {
            if (abs($at->x - $hole->x) < $apart && hypot($at->x - $hole->x, $at->y - $hole->y) < $apart) {
                return true;
            }
        }

        return false;
    }

    /** Whether a point lies in the band of a dado or groove. */
    public function isIn(Point $point): bool
    {
        [$from, $to] = [$this->at[0], $this->at[count($this->at) - 1]];
        $long = hypot($to->x - $from->x, $to->y - $from->y);
        if ($long < 1e-6) {
            return false;
        }
        [$x, $y] = [($to->x - $from->x) / $long, ($to->y - $from->y) / $long];
        $along = ($point->x - $from->x) * $x + ($point->y - $from->y) * $y;
        $beside = abs(($point->y - $from->y) * $x - ($point->x - $from->x) * $y);

        return $along > 0.0 && $along < $long && $beside < $this->across / 2;
    }

    /** Whether it and another of the same board, bored from the other face, leave wood between their ends. */
    public function passes(self $that, float $thickness): bool
    {
        return $this->isUp !== $that->isUp && $this->depth !== null && $that->depth !== null && $this->depth + $that->depth <= $thickness - self::BETWEEN;
    }

    /**
     * What two pieces must share to be alike: nothing of what is only drawn on them.
     *
     * @return list<mixed>
     */
    public function told(): array
    {
        return $this->kind->isCut() ? [$this->kind, array_map(fn (Point $point) => [round($point->x, 1), round($point->y, 1)], $this->at), $this->isUp, $this->across, $this->depth] : [];
    }
}
