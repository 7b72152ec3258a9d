<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** What a shop is asked the price of: its kind, and what tells it from others of that kind. Lengths in nm, loads in grams. */
final readonly class Item
{
    /** @param array<string, int|string> $details */
    public function __construct(public string $kind, public array $details = [])
    {
    }

    /** The same for the same thing, in every job. */
    public function key(): string
    {
        $details = $this->details;
        ksort($details);

        return hash('sha256', $this->kind.json_encode($details, JSON_THROW_ON_ERROR));
    }

    /** What its amounts are counted in: pieces, mm or ml. */
    public function unit(): string
    {
        return match ($this->kind) {
            'banding' => 'mm',
            'glue', 'caulk', 'primer', 'paint', 'varnish' => 'ml',
            default => 'piece',
        };
    }
}
