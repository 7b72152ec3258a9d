<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * A rail, a beam or a bearer on edge between posts, with a spread load and one person in the middle. Sizes in mm, loads in N/mm and N
 * (handbook, "Strength").
 */
final readonly class Rail
{
    public function __construct(private float $thick, private float $high, private float $elasticity, private float $bending, private float $spread, private float $force = Loads::PERSON * Loads::G)
    {
    }

    public function stress(float $span): float
    {
        return (Beam::momentSpread($this->spread, $span) + Beam::momentPatch($this->force, 0.0, $span)) / $this->modulus();
    }

    public function sag(float $span): float
    {
        $stiffness = Section::rectangle($this->thick, $this->high, $this->elasticity)->stiffness();

        return Beam::sagSpread($this->spread, $span, $stiffness) + Beam::sagPatch($this->force, 0.0, $span, $stiffness);
    }

    public function holds(float $span): bool
    {
        return $this->stress($span) <= $this->bending && $this->sag($span) <= $span / 300;
    }

    /** The longest span between posts, by its stress: what it sags decides later in every stock section. */
    public function longest(): float
    {
        return Beam::longest($this->spread, $this->force, $this->bending * $this->modulus());
    }

    /** The least height that is strong enough over a span, mm. */
    public function leastHeight(float $span): float
    {
        return sqrt(6 * (Beam::momentSpread($this->spread, $span) + Beam::momentPatch($this->force, 0.0, $span)) / ($this->bending * $this->thick));
    }

    private function modulus(): float
    {
        return $this->thick * $this->high ** 2 / 6;
    }
}
