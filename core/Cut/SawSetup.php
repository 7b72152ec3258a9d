<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;

/** The saw's kerf, and what is trimmed off the edges of a sheet before anything is measured from them. */
final readonly class SawSetup
{
    public function __construct(
        public Length $kerf,
        public Length $trimStart,
        public Length $trimEnd,
        public Length $trimLow,
        public Length $trimHigh,
    ) {
    }

    public static function allEdges(Length $kerf, Length $trim): self
    {
        return new self($kerf, $trim, $trim, $trim, $trim);
    }

    /** Only one long edge (y = 0) and one short edge (x = 0) are trimmed. */
    public static function twoEdges(Length $kerf, Length $long, Length $short): self
    {
        return new self($kerf, $short, Length::zero(), $long, Length::zero());
    }

    /** For one stock: nothing is trimmed off edges that are sawn. */
    public function on(Stock $stock): self
    {
        return $stock->isSawn ? self::allEdges($this->kerf, Length::zero()) : $this;
    }

    public function usableLength(Stock $stock): Length
    {
        return $stock->length->minus($this->on($stock)->trimStart)->minus($this->on($stock)->trimEnd);
    }

    public function usableWidth(Stock $stock): Length
    {
        return $stock->width->minus($this->on($stock)->trimLow)->minus($this->on($stock)->trimHigh);
    }
}
