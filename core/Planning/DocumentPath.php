<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Rules\Edit;

/** Sets a value at a dotted path of a document and tells how to set it back. A null that was not there is left out. */
final class DocumentPath
{
    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     */
    public static function set(array $document, string $path, mixed $value): array
    {
        $at = &$document;
        $parts = explode('.', $path);
        $last = (string) array_pop($parts);
        foreach ($parts as $part) {
            $at[$part] ??= [];
            $at = &$at[$part];
        }
        $inverse = new Edit($path, $at[$last] ?? null);
        if ($value === null && $parts !== [] && in_array($parts[0], ['rules', 'schools'], true)) {
            unset($at[$last]);
        } else {
            $at[$last] = $value;
        }

        return [$document, $inverse];
    }
}
