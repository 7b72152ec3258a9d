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

    /** That a task of a kind is done for its owner. */
    public static function on(TaskKind $kind, string $owner): self
    {
        return new self(FittingTask::id($kind, $owner));
    }

    public static function custom(string $task): self
    {
        return new self($task, true);
    }
}
