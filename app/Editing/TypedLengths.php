<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;

/** Reads lengths as they were typed, in the unit of a job; what cannot be read is said at its field. */
final readonly class TypedLengths
{
    public LengthFormat $format;

    public function __construct(Job $job)
    {
        $this->format = LengthFormat::of($job->choices['measure']);
    }

    /** @throws ValidationException */
    public function read(string $field, string $label, mixed $text): Length
    {
        try {
            return (new LengthReader($this->format->unit))->read(is_scalar($text) ? (string) $text : '');
        } catch (Unreadable $unreadable) {
            throw ValidationException::withMessages([$field => "$label: {$unreadable->getMessage()}"]);
        }
    }

    /** @throws ValidationException */
    public function positive(string $field, string $label, mixed $text): Length
    {
        $length = $this->read($field, $label, $text);

        return $length->isPositive() ? $length : throw ValidationException::withMessages([$field => "$label: It is more than 0."]);
    }
}
