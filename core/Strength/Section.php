<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * The section of a board, laid flat or on edge, with or without a strip that is glued along it: its stiffness E·I in N·mm², and the
 * stress in N/mm² at its outer edges under a moment. Sizes in mm, E in N/mm². Source: transformed section (handbook, "Strength").
 */
final readonly class Section
{
    private function __construct(private float $elasticity, private float $inertia, private float $above, private float $below, private float $ratio)
    {
    }

    /** A rectangle so wide and so high: I = b·t³/12. */
    public static function rectangle(float $wide, float $high, float $elasticity): self
    {
        return new self($elasticity, $wide * $high ** 3 / 12, $high / 2, $high / 2, 1.0);
    }

    /**
     * A board with a strip on edge, its top so far under the board's: 0 on the board's front edge, the board's thickness under it.
     *
     * @param  array{float, float}  $board  width and thickness
     * @param  array{float, float}  $strip  thickness and height
     */
    public static function withStrip(array $board, float $elasticity, array $strip, float $ofStrip, float $under = 0.0): self
    {
        [$wide, $thick] = $board;
        [$across, $high] = $strip;
        $ratio = $ofStrip / $elasticity;
        [$area, $middle] = [$wide * $thick, $thick / 2];
        [$other, $its] = [$ratio * $across * $high, $under + $high / 2];
        $neutral = ($area * $middle + $other * $its) / ($area + $other);
        $inertia = $wide * $thick ** 3 / 12 + $area * ($neutral - $middle) ** 2 + $ratio * $across * $high ** 3 / 12 + $other * ($neutral - $its) ** 2;

        return new self($elasticity, $inertia, $neutral, $under + $high - $neutral, $ratio);
    }

    public function stiffness(): float
    {
        return $this->elasticity * $this->inertia;
    }

    /** In the board, at its upper face. */
    public function stressAbove(float $moment): float
    {
        return $moment * $this->above / $this->inertia;
    }

    /** At the lower edge: of the strip, where there is one. */
    public function stressBelow(float $moment): float
    {
        return $this->ratio * $moment * $this->below / $this->inertia;
    }

    /** The moment, N·mm, at which a plain board has a stress. */
    public function momentAt(float $stress): float
    {
        return $stress * $this->inertia / $this->above;
    }
}
