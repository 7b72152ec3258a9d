<?php

declare(strict_types=1);

namespace Incastro\Install;

/** What a task waits for: that another is done, and where something dries there, that it has dried. Custom may be reversed by a wish; physics and safety may not. */
final readonly class Need
{
    /** @param float $depth of filler or plaster, mm */
    public function __construct(public string $task, public bool $isCustom = false, public ?Product $dry = null, public float $depth = Product::DEPTH)
    {
    }

    public static function custom(string $task): self
    {
        return new self($task, true);
    }
}
