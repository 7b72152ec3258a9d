<?php

declare(strict_types=1);

namespace Incastro\Rules;

/**
 * One change of a choice: a field of a document is given a value. Applying it returns the inverse.
 *
 * The path is dotted from the document's root ("rules.plinth_height"); the value is as typed, or null for "as computed".
 */
final readonly class Edit
{
    public function __construct(public string $path, public mixed $value)
    {
    }

    /** @return array{path: string, value: mixed} */
    public function toArray(): array
    {
        return ['path' => $this->path, 'value' => $this->value];
    }
}
