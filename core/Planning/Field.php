<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;

/**
 * One editable field of a choice document: its label, and how a value given for it is checked and stored. A length is
 * given as typed, or in its stored form `{nm, typed}`, which is what an inverse edit carries.
 */
final readonly class Field
{
    /** Nobody types a longer length, letters. */
    private const TYPED = 80;

    /** Control characters, and code points that are no characters: drawings and files could not carry them. */
    private const UNSEEN = '/[\p{Cc}\x{FFFE}\x{FFFF}]/u';

    /** @param \Closure(mixed): mixed $store throws Unreadable */
    private function __construct(public string $label, private \Closure $store)
    {
    }

    /** @param \Closure(mixed): mixed $store throws Unreadable */
    public static function of(string $label, \Closure $store): self
    {
        return new self($label, $store);
    }

    public static function text(string $label, int $longest = 80): self
    {
        return new self($label, function (mixed $value) use ($longest): string {
            $text = is_string($value) ? trim($value) : '';
            if ($text === '' || mb_strlen($text) > $longest) {
                throw new Unreadable(sprintf('It needs 1 to %d letters.', $longest));
            }
            if (preg_match(self::UNSEEN, $text) !== 0) {
                throw new Unreadable('It holds a sign that nobody sees, such as a line feed. Type it anew, on one line.');
            }

            return $text;
        });
    }

    public static function length(string $label, LengthFormat $format, Length $least, Length $most): self
    {
        return new self($label, function (mixed $value) use ($format, $least, $most): array {
            if (is_array($value) && is_int($value['nm'] ?? null)) {
                $length = Length::ofNanometres($value['nm']);
                $typed = is_scalar($value['typed'] ?? null) ? mb_substr((string) $value['typed'], 0, self::TYPED) : '';
            } else {
                $typed = is_scalar($value) ? trim((string) $value) : '';
                $reader = new LengthReader($format->unit);
                $length = $least->isNegative() ? $reader->readSigned($typed) : $reader->read($typed);
            }
            if ($length->isLessThan($least) || $length->isGreaterThan($most)) {
                throw new Unreadable(sprintf('“%s” was understood as %s. It must be between %s and %s.', $typed, $format->write($length), $format->write($least->roundedUp($format->step)), $format->write($most->roundedDown($format->step))));
            }

            return ['nm' => $length->nanometres(), 'typed' => $typed];
        });
    }

    public static function whole(string $label, int $least, int $most): self
    {
        return new self($label, function (mixed $value) use ($least, $most): int {
            $number = filter_var($value, FILTER_VALIDATE_INT);
            if ($number === false || $number < $least || $number > $most) {
                throw new Unreadable(sprintf('“%s” is not a whole number from %d to %d.', is_scalar($value) ? (string) $value : 'that', $least, $most));
            }

            return $number;
        });
    }

    public static function number(string $label, float $least, float $most): self
    {
        return new self($label, function (mixed $value) use ($least, $most): float {
            return self::numberWithin($value, $least, $most) ?? throw new Unreadable(sprintf('“%s” is not a number from %s to %s.', is_scalar($value) ? (string) $value : 'that', $least, $most));
        });
    }

    /** A number as it was typed, with a comma or a point; null where it is none, or lies beyond. */
    public static function numberWithin(mixed $value, float $least, float $most): ?float
    {
        $number = is_string($value) ? filter_var(str_replace(',', '.', trim($value)), FILTER_VALIDATE_FLOAT) : $value;

        return (is_int($number) || is_float($number)) && $number >= $least && $number <= $most ? (float) $number : null;
    }

    public static function yesNo(string $label): self
    {
        return new self($label, fn (mixed $value): bool => is_bool($value) ? $value : throw new Unreadable('It is yes or no.'));
    }

    /** @param list<string> $names */
    public static function oneOf(string $label, array $names): self
    {
        return new self($label, fn (mixed $value): string => is_string($value) && in_array($value, $names, true)
            ? $value
            : throw new Unreadable(sprintf('“%s” is not one of %s.', is_scalar($value) ? (string) $value : 'that', implode(', ', $names))));
    }

    /**
     * A list of names, each one of those allowed.
     *
     * @param  list<string>  $names
     */
    public static function listOf(string $label, array $names, int $least, int $most): self
    {
        return new self($label, function (mixed $value) use ($names, $least, $most): array {
            if (! is_array($value) || ! array_is_list($value) || count($value) < $least || count($value) > $most) {
                throw new Unreadable(sprintf('There are %s. It takes %d to %d.', is_array($value) ? (string) count($value) : 'none', $least, $most));
            }
            foreach ($value as $entry) {
                if (! is_string($entry) || ! in_array($entry, $names, true)) {
                    throw new Unreadable(sprintf('“%s” is not one of %s.', is_scalar($entry) ? (string) $entry : 'that', implode(', ', $names)));
                }
            }

            return $value;
        });
    }

    /** A list of different numbers below a limit, in rising order. */
    public static function numbersBelow(string $label, int $limit, int $most): self
    {
        return new self($label, function (mixed $value) use ($limit, $most): array {
            $numbers = is_array($value) ? array_values(array_unique(array_filter($value, fn (mixed $n) => is_int($n) && $n >= 0 && $n < $limit))) : null;
            if ($numbers === null || ! is_array($value) || count($numbers) !== count($value) || count($numbers) > $most) {
                throw new Unreadable(sprintf('It is a list of at most %d different numbers from 0 to %d.', $most, $limit - 1));
            }
            sort($numbers);

            return $numbers;
        });
    }

    /** The same field, which may also be left to the computation: null, or nothing typed. */
    public function orComputed(): self
    {
        return new self($this->label, fn (mixed $value): mixed => $value === null || $value === '' ? null : ($this->store)($value));
    }

    /**
     * What is stored for a value, in a field that is made of this one.
     *
     * @throws Unreadable
     */
    public function read(mixed $value): mixed
    {
        return ($this->store)($value);
    }

    /** @throws InvalidChoice */
    public function store(string $path, mixed $value): mixed
    {
        try {
            return ($this->store)($value);
        } catch (Unreadable $unreadable) {
            throw new InvalidChoice($path, $this->label.': '.$unreadable->getMessage());
        }
    }
}
