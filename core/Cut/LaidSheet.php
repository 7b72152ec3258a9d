<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** A sheet with what is laid out on it. It is never changed: another takes its place. */
final class LaidSheet
{
    private ?Places $places = null;

    /** @var array<string, true>|null */
    private ?array $settings = null;

    private ?int $filled = null;

    private ?int $greatest = null;

    /** @param int $kind  number of its kind */
    public function __construct(public readonly int $kind, public readonly SheetKind $of, public readonly ?Block $root)
    {
    }

    public function with(?Block $root): self
    {
        return new self($this->kind, $this->of, $root);
    }

    /** @param int $least  smallest size of any piece: smaller rooms take none */
    public function places(int $kerf, int $least): Places
    {
        return $this->places ??= new Places($this->root, $this->of->x, $this->of->y, $kerf, $least);
    }

    /** The area of the greatest piece left over. */
    public function greatestOffcut(int $kerf): int
    {
        if ($this->greatest === null) {
            [, , $x, $y] = (new Cuts($this, $kerf))->offcuts()[0] ?? [0, 0, 0, 0];
            $this->greatest = $x * $y;
        }

        return $this->greatest;
    }

    /** @param list<PieceType> $types */
    public function filled(array $types): int
    {
        return $this->filled ??= array_sum(array_map(fn (int $type) => $types[$type]->area, $this->root?->types() ?? []));
    }

    /** @return array<string, true> what the fence is set to, by axis and distance */
    public function settings(): array
    {
        return $this->settings ??= Cuts::settings($this);
    }
}
