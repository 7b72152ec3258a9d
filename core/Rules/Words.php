<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** Small turns of phrase that sentences share. */
final class Words
{
    /**
     * "a, b or c": each once.
     *
     * @param  list<string>  $names
     */
    public static function listed(array $names, string $joint): string
    {
        $names = array_values(array_unique($names));
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." $joint $last";
    }
}
