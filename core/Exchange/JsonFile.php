<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Length;

/** A JSON file that is read field by field: each fault is named by its path, and all of them are told at once. */
final class JsonFile
{
    /** Deeper than any file of this application. */
    private const DEEPEST = 24;

    /** No length in a file is greater, mm. */
    private const LONGEST = 100_000;

    /** @var list<Fault> */
    private array $faults = [];

    /** @var array<mixed> */
    public readonly array $data;

    /** @throws BadFile */
    public function __construct(private readonly string $file, string $json, string $shape)
    {
        try {
            $data = json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $bad) {
            throw BadFile::at("$file:$", 'This is not JSON ('.lcfirst($bad->getMessage()).').');
        }
        $this->data = is_array($data) ? $data : throw BadFile::at("$file:$", "This must be $shape.");
    }

    public function fault(string $path, string $sentence): void
    {
        $this->faults[] = new Fault("$this->file:\$$path", $sentence);
    }

    /** @throws BadFile with all faults that were found */
    public function refuseFaults(): void
    {
        if ($this->faults !== []) {
            throw new BadFile($this->faults);
        }
    }

    /** @param array<mixed> $in */
    public function number(array $in, string $key, string $path, float $least, float $most, ?float $default = null): float
    {
        $given = $in[$key] ?? $default;
        if (! is_int($given) && ! is_float($given) || $given < $least || $given > $most) {
            $this->fault("$path.$key", sprintf('%s is not a number from %s to %s.', is_scalar($given) ? '“'.$given.'”' : ($given === null ? 'Nothing' : 'That'), $least, $most));

            return $least;
        }

        return (float) $given;
    }

    /** @param array<mixed> $in */
    public function millimetres(array $in, string $key, string $path, float $least, ?float $default = null): Length
    {
        return Length::ofNanometres((int) round($this->number($in, $key, $path, $least, self::LONGEST, $default) * 1e6));
    }

    /** @param array<mixed> $in */
    public function text(array $in, string $key, string $path): string
    {
        $given = $in[$key] ?? null;
        if (! is_string($given) || trim($given) === '') {
            $this->fault("$path.$key", 'It must be a name.');

            return '';
        }

        return $given;
    }

    /** @param array<mixed> $in */
    public function yesNo(array $in, string $key, string $path, bool $default): bool
    {
        $given = $in[$key] ?? $default;
        if (! is_bool($given)) {
            $this->fault("$path.$key", 'It is true or false.');

            return $default;
        }

        return $given;
    }

    /**
     * @param  array<mixed>  $in
     * @return list<array<mixed>>
     */
    public function entries(array $in, string $key, string $path, int $most): array
    {
        $given = $in[$key] ?? null;
        if (! is_array($given) || ! array_is_list($given) || count($given) > $most) {
            $this->fault("$path.$key", sprintf('It must be a list of at most %d entries.', $most));

            return [];
        }
        foreach ($given as $i => $entry) {
            if (! is_array($entry)) {
                $this->fault("$path.{$key}[$i]", 'It must be an object.');
            }
        }

        return array_values(array_filter($given, is_array(...)));
    }
}
