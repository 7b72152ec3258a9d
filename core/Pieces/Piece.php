<?php

declare(strict_types=1);

namespace Incastro\Pieces;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\CutFor;
use Incastro\Pieces\Works\Rebated;
use Incastro\Pieces\Works\SawSetting;
use Incastro\Pieces\Works\Scribed;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Materials\Material;
use Incastro\Rules\Materials\Purpose;

/**
 * One piece to cut: its blank with the working of both sizes, and its true outline in mm with x along the length and the
 * origin at a corner of the blank. `key` stays while its owner lives; `mark` is what is written on the wood.
 */
final readonly class Piece
{
    /** What is off square by less than this is square, degrees: no saw is set finer. */
    private const SQUARE = 0.3;

    /**
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     * @param  list<Mark>  $marks  that its joints leave on it
     */
    public function __construct(
        public string $key,
        public string $mark,
        public string $name,
        public Working $length,
        public Working $width,
        public Length $thickness,
        public Purpose $purpose,
        public Material $material,
        public Grain $grain,
        public Outline $outline,
        public array $works = [],
        public array $joints = [],
        public array $marks = [],
    ) {
    }

    /** @param list<Mark> $marks */
    public function marked(array $marks): self
    {
        return new self(...['marks' => $marks] + get_object_vars($this));
    }

    /** The same cut otherwise, and what was done to it. */
    public function cutTo(Outline $outline, Work $work): self
    {
        return new self(...['outline' => $outline, 'works' => [...$this->works, $work]] + get_object_vars($this));
    }

    /** The same with something more done to it. */
    public function worked(Work $work): self
    {
        return new self(...['works' => [...$this->works, $work]] + get_object_vars($this));
    }

    /** The rabbet behind its lip, where it has one. */
    public function rebate(): ?Rebated
    {
        foreach ($this->works as $work) {
            if ($work instanceof Rebated) {
                return $work;
            }
        }

        return null;
    }

    /** A part of it: with a name of its own, and a blank that it is cut from. */
    public function part(string $suffix, Working $length, Working $width, Outline $outline, Work $work): self
    {
        return new self(...[
            'key' => "$this->key-$suffix", 'mark' => "$this->mark-$suffix", 'length' => $length, 'width' => $width, 'outline' => $outline,
            'works' => [...$this->works, $work],
        ] + get_object_vars($this));
    }

    /** Whether more of its marks are on the face that its outline is not seen from. */
    public function isMarkedBehind(): bool
    {
        $behind = array_filter($this->marks, fn (Mark $mark) => ! $mark->isUp);

        return 2 * count($behind) > count($this->marks);
    }

    /** @return list<string> what its joints leave on it, as it is told to a person */
    public function markings(LengthFormat $format): array
    {
        return array_map(fn (Mark $mark) => $mark->words($format, $this->isMarkedBehind()), $this->marks);
    }

    /** @return list<string> what is done to its edges, as it is told to a person */
    public function told(LengthFormat $format): array
    {
        return array_map(fn (Work $work) => $work->edge().': '.$work->words($format), $this->works);
    }

    /** @return list<SawSetting> cuts for which the saw is set off square */
    public function sawSettings(): array
    {
        return array_values(array_filter($this->works, fn (Work $work) => $work instanceof SawSetting && $work->degrees() >= self::SQUARE));
    }

    /** @return list<Bevel> of all its edges */
    public function bevels(): array
    {
        $bevels = [];
        foreach ($this->works as $work) {
            if ($work instanceof Bevelled) {
                array_push($bevels, ...$work->bevels);
            } elseif ($work instanceof Scribed && $work->bevel !== null) {
                $bevels[] = $work->bevel;
            }
        }

        return $bevels;
    }

    /** The middle of what is around its outline. */
    public function middle(): Point
    {
        [$x0, $x1, $y0, $y1] = $this->outline->bounds();

        return new Point(($x0 + $x1) / 2, ($y0 + $y1) / 2);
    }

    /** @param string $dimension  `length` or `width` */
    public function size(string $dimension): Working
    {
        return $dimension === 'length' ? $this->length : $this->width;
    }

    /** What it weighs, kg. */
    public function weight(): float
    {
        return $this->outline->area() * $this->thickness->toDouble() * 1e-9 * $this->material->density;
    }

    /** Whether something was cut out of it for a thing on a face of the space. */
    public function isCutFor(string $thingId): bool
    {
        foreach ($this->works as $work) {
            if ($work instanceof CutFor && $work->thingId === $thingId) {
                return true;
            }
        }

        return false;
    }

    /** Whether its outline is more than its blank's four straight edges, so that a template helps. */
    public function isShaped(): bool
    {
        return $this->outline->holes !== [] || count($this->outline->outer->points) !== 4
            || abs($this->outline->outer->area() - $this->length->result->toDouble() * $this->width->result->toDouble()) > 0.5 * $this->length->result->toDouble();
    }

    public function likeness(): Likeness
    {
        return Likeness::of($this);
    }
}
