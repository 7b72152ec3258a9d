<?php

declare(strict_types=1);

namespace Incastro\Strength;

use Incastro\Rules\Materials\Strength;

/**
 * A board that lies flat between two supports and carries a spread load: shelves, and worktops with a person leaning on their front
 * edge. Sizes in mm, density in kg/m³, load in kg on a metre. A strip on its front edge takes half the board's depth and half its load,
 * where its back is carried; a person leaning there, wholly (handbook, "Strength"; the half is a plate model's answer, rounded to the
 * safe side).
 */
final readonly class Board
{
    private const AT_ONCE = 600;

    private const OVER_YEARS = 350;

    /** A strip higher than this is refused, mm. */
    private const HIGHEST_STRIP = 150.0;

    /** @param Section|null $front its front half with a strip of some wood, where its back is carried all along */
    public function __construct(
        private Strength $wood,
        private float $density,
        public float $deep,
        public float $thick,
        public float $span,
        private float $load,
        private float $leaning = 0.0,
        private ?Section $front = null,
        private ?Strength $strip = null,
    ) {
    }

    public function ofThickness(float $thick, ?Strength $wood = null, ?float $density = null): self
    {
        return new self($wood ?? $this->wood, $density ?? $this->density, $this->deep, $thick, $this->span, $this->load, $this->leaning);
    }

    public function ofSpan(float $span): self
    {
        return new self($this->wood, $this->density, $this->deep, $this->thick, $span, $this->load, $this->leaning, $this->front, $this->strip);
    }

    /** The same with a strip along its front edge, so thick and so high. */
    public function stiffened(float $across, float $high, Strength $strip, float $under = 0.0): self
    {
        return new self($this->wood, $this->density, $this->deep, $this->thick, $this->span, $this->load, $this->leaning, $this->front($across, $high, $strip, $under), $strip);
    }

    /** w = (q + b·t·ρ/10⁶)·g/1000, N/mm. */
    public function lineLoad(): float
    {
        return Loads::aMillimetre($this->load + $this->deep * $this->thick * $this->density / 1e6);
    }

    /** What it may sag under a spread load as a share of its span: L/600 at once, and L/350 over the years. */
    private function share(): float
    {
        return min(1 / self::AT_ONCE, 1 / (self::OVER_YEARS * (1 + $this->wood->creep)));
    }

    /** Of solid wood, which creeps little, what it sags at once decides. */
    public function isJudgedAtOnce(): bool
    {
        return self::AT_ONCE > self::OVER_YEARS * (1 + $this->wood->creep);
    }

    public function limitOverYears(): float
    {
        return $this->span / self::OVER_YEARS;
    }

    /** At once, mm: of its front half with the strip where there is one, else of the whole. */
    public function sag(): float
    {
        return Beam::sagSpread($this->lineLoad() / 2, $this->span, $this->half()->stiffness());
    }

    public function sagsOverYears(): float
    {
        return $this->sag() * (1 + $this->wood->creep);
    }

    public function limit(): float
    {
        return $this->span * $this->share();
    }

    /** Under a person who leans on its front edge, at once, mm. */
    public function bends(): float
    {
        return Beam::sagPatch(Loads::newtons($this->leaning), Loads::SITS_ON, $this->span, $this->half()->stiffness());
    }

    public function bendsLimit(): float
    {
        return $this->span / 300;
    }

    /** How much of what it may bear it is stressed by. */
    public function stressed(): float
    {
        return max($this->half()->stressAbove($this->frontMoment()) / $this->wood->bendingAlong, $this->half()->stressBelow($this->frontMoment()) / ($this->strip ?? $this->wood)->bendingAlong);
    }

    /** By how much of its limit it sags, bends or is stressed, whichever is most. */
    public function used(): float
    {
        return max($this->sag() / $this->limit(), $this->bends() / $this->bendsLimit(), $this->stressed());
    }

    public function holds(): bool
    {
        return $this->used() <= 1.0;
    }

    /** In the front half of its depth: half of the spread load, and a whole person; N·mm. */
    public function frontMoment(): float
    {
        return Beam::momentPatch(Loads::newtons($this->leaning), Loads::SITS_ON, $this->span) + Beam::momentSpread($this->lineLoad() / 2, $this->span);
    }

    /** The least thickness under its present weight, mm: L·(60·w ÷ (384·E·b·m))^⅓. */
    public function leastThickness(): float
    {
        return $this->span * (60 * $this->lineLoad() / (384 * $this->wood->along * $this->deep * $this->share())) ** (1 / 3);
    }

    /** The longest span of its thickness, mm: t·(384·E·b·m ÷ (60·w))^⅓. */
    public function longestSpan(): float
    {
        return $this->thick * (384 * $this->wood->along * $this->deep * $this->share() / (60 * $this->lineLoad())) ** (1 / 3);
    }

    /**
     * The least height of a strip on its front edge that holds, by a step, mm; null where none up to 150 does. Its back is carried all
     * along.
     */
    public function leastStrip(float $across, Strength $strip, float $step, float $under = 0.0): ?float
    {
        for ($n = (int) ceil($this->thick / $step - 1e-9); $n * $step <= self::HIGHEST_STRIP + 1e-9; $n++) {
            if ($this->stiffened($across, $n * $step, $strip, $under)->holds()) {
                return $n * $step;
            }
        }

        return null;
    }

    /** What is left of its span on both sides of a support as thick as it is in the middle. */
    public function halved(): self
    {
        return $this->ofSpan(($this->span - $this->thick) / 2);
    }

    /** The front half of its depth, with its strip. */
    public function half(): Section
    {
        return $this->front ?? Section::rectangle($this->deep / 2, $this->thick, $this->wood->along);
    }

    private function front(float $across, float $high, Strength $strip, float $under): Section
    {
        return Section::withStrip([$this->deep / 2, $this->thick], $this->wood->along, [$across, $high], $strip->along, $under);
    }
}
