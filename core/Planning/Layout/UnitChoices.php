<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Planning\InvalidChoice;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Units\Family;
use Incastro\Units\Kinds;

/**
 * What may be put into a layout, and what it may be set to: units as documents have them, `{kind, v, with}`. `with` holds only
 * what was chosen; everything else is as usual, and follows the rules.
 */
final readonly class UnitChoices
{
    public function __construct(private LengthFormat $format)
    {
    }

    /**
     * The unit that is given for a place: a kind, or one as a document has it. A kind alone keeps of what stood there before
     * what it takes too.
     *
     * @param  ?array{kind: string, v: int, with: array<string, mixed>}  $before
     * @return array{kind: string, v: int, with: array<string, mixed>}
     *
     * @throws InvalidChoice
     */
    public function unit(string $path, mixed $given, ?array $before, Family ...$families): array
    {
        $kind = is_array($given) ? $given['kind'] ?? null : $given;
        $blueprint = $this->blueprint($path, is_string($kind) ? $kind : '', ...$families);
        $with = is_array($given) ? $this->all($path, $blueprint, is_array($given['with'] ?? null) ? $given['with'] : []) : $blueprint->keeping($before['with'] ?? [], $this->format);

        return ['kind' => $blueprint->about->kind, 'v' => $blueprint->about->version, 'with' => $with];
    }

    /** @throws InvalidChoice */
    private function blueprint(string $path, string $kind, Family ...$families): Blueprint
    {
        $blueprint = Kinds::standard()->find($kind);
        if ($blueprint === null || ! in_array(Kinds::standard()->family($kind), $families, true)) {
            $labels = array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...$families));
            throw new InvalidChoice($path, sprintf('“%s” is not something that stands there. There are: %s.', $kind, implode(', ', $labels)));
        }

        return $blueprint;
    }

    /**
     * @param  array<mixed>  $with
     * @return array<string, mixed>
     */
    private function all(string $path, Blueprint $blueprint, array $with): array
    {
        $stored = [];
        foreach ($with as $name => $given) {
            $stored[(string) $name] = $this->one($path, $blueprint, (string) $name, $given);
        }

        return $stored;
    }

    /** @return array<mixed>|bool|int|string */
    private function one(string $path, Blueprint $blueprint, string $name, mixed $given): array|bool|int|string
    {
        try {
            return $blueprint->stored($name, $given, $this->format);
        } catch (Unreadable $unreadable) {
            throw new InvalidChoice($path, (isset($blueprint->parameters[$name]) ? $blueprint->parameters[$name]->label.': ' : '').$unreadable->getMessage());
        }
    }

    /**
     * Parameters of a unit set otherwise; null, or nothing typed, is as usual.
     *
     * @param  array{kind: string, v: int, with: array<string, mixed>}  $holds
     * @param  array<mixed>  $given  by name
     * @return array{array{kind: string, v: int, with: array<string, mixed>}, array<string, mixed>} the unit, and what was stored for those names before
     *
     * @throws InvalidChoice
     */
    public function set(string $path, array $holds, array $given): array
    {
        $blueprint = Kinds::standard()->find($holds['kind']) ?? throw new InvalidChoice($path, 'This edition does not know what stands there, and keeps it as it is.');
        $before = [];
        $with = $holds['with'];
        foreach ($given as $name => $value) {
            $before[(string) $name] = $with[$name] ?? null;
            $isUsual = $value === null || $value === '';
            if ($isUsual && isset($blueprint->parameters[(string) $name])) {
                unset($with[$name]);
            } else {
                $with[(string) $name] = $this->one($path, $blueprint, (string) $name, $value);
            }
        }

        return [array_replace($holds, ['v' => $blueprint->about->version, 'with' => $with]), $before];
    }
}
