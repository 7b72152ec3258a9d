<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;

/** What a unit is built of: pieces placed in space, hardware, and decided inner sizes with their workings. */
final readonly class Assembly
{
    /**
     * @param  list<Placed>  $placed
     * @param  list<Hardware>  $hardware
     * @param  array<string, Working>  $decisions  by name: sizes that are set out rather than cut, such as shelf spacing
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public array $placed,
        public array $hardware = [],
        public array $decisions = [],
        public array $findings = [],
    ) {
    }

    /** @return list<Piece> */
    public function pieces(): array
    {
        return array_map(fn (Placed $placed) => $placed->piece, $this->placed);
    }

    /**
     * The same with its pieces placed or cut otherwise.
     *
     * @param  list<Placed>  $placed
     */
    public function placing(array $placed): self
    {
        return new self($placed, $this->hardware, $this->decisions, $this->findings);
    }

    public function with(self $that): self
    {
        return new self(
            [...$this->placed, ...$that->placed],
            [...$this->hardware, ...$that->hardware],
            [...$this->decisions, ...$that->decisions],
            [...$this->findings, ...$that->findings],
        );
    }
}
