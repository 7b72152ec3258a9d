<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Units\Part;
use Incastro\Units\Placed;

/** What a body weighs as it is carried, and how many carry it: guidance for people in good health. */
final readonly class Weight
{
    /** Screws, pins and hinges besides the wood. */
    private const HARDWARE = 1.05;

    /** From here on two carry; a third, or taken apart; kg. */
    private const TWO = 25.0;

    private const THREE = 50.0;

    /** What is longer, mm, or lifted with its middle higher, takes two from a lesser weight on, kg. */
    private const LONG = [2000.0, 15.0];

    private const HIGH = [1400.0, 10.0];

    private function __construct(public float $kilograms, private float $longest, private float $middle)
    {
    }

    /**
     * Of boards that go in as one body: without what is loose, and without doors and drawers.
     *
     * @param  list<Placed>  $body
     * @param  float  $middle  how high its middle is lifted, mm
     */
    public static function of(array $body, float $longest, float $middle): self
    {
        return self::weighing(array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $body)), $longest, $middle);
    }

    /** @param float $wood kg, without what holds it together */
    public static function weighing(float $wood, float $longest, float $middle): self
    {
        return new self(self::HARDWARE * $wood, $longest, $middle);
    }

    /**
     * The boards of a box that are carried as one.
     *
     * @param  list<Placed>  $placed
     * @param  array<string, true>  $moving  keys of what moves
     * @return list<Placed>
     */
    public static function carried(array $placed, string $owner, array $moving): array
    {
        return array_values(array_filter($placed, fn (Placed $one) => $one->owner === $owner && ! isset($moving[$one->piece->key]) && in_array($one->part, [Part::Body, Part::Back, Part::Nailer], true)));
    }

    public function people(): int
    {
        return match (true) {
            $this->kilograms > self::THREE => 3,
            $this->kilograms > self::TWO,
            $this->longest > self::LONG[0] && $this->kilograms > self::LONG[1],
            $this->middle > self::HIGH[0] && $this->kilograms > self::HIGH[1] => 2,
            default => 1,
        };
    }

    /** "41 kg: two people." */
    public function words(): string
    {
        return sprintf('%.0f kg: %s.', $this->kilograms, match ($this->people()) {
            1 => 'one person',
            2 => 'two people',
            default => 'three people, or take it apart',
        });
    }
}
