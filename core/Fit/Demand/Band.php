<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/** How much of the height of its place a strip takes, and where: at the foot, at the head, or with its middle at a height over the floor. */
final readonly class Band
{
    private function __construct(private Length $high, private ?Length $middle, private bool $isAtHead)
    {
    }

    public static function foot(Length $high): self
    {
        return new self($high, null, false);
    }

    public static function head(Length $high): self
    {
        return new self($high, null, true);
    }

    public static function at(Length $middle, Length $high): self
    {
        return new self($high, $middle, false);
    }

    /**
     * From where to where of a place between two heights, mm.
     *
     * @return array{float, float}
     */
    public function within(float $foot, float $head): array
    {
        $high = $this->high->toDouble();
        $from = match (true) {
            $this->middle !== null => $this->middle->toDouble() - $high / 2,
            $this->isAtHead => $head - $high,
            default => $foot,
        };

        return [max($foot, min($from, $head)), max($foot, min($from + $high, $head))];
    }
}
