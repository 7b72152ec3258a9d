<?php

declare(strict_types=1);

namespace Incastro\Log;

/**
 * Something that the log teaches: what is seen in how many cases, and what would be changed. It is never applied by itself. `habit` and `value` are
 * what it sets in the home; null where it is only a word.
 */
final readonly class Lesson
{
    /**
     * @param  string  $about  what it is known by, so that one that was put aside is not told again before there is twice as much to see
     * @param  list<string>  $evidence
     */
    public function __construct(public string $about, public string $title, public string $suggestion, public array $evidence, public int $count, public ?string $habit = null, public mixed $value = null)
    {
    }
}
