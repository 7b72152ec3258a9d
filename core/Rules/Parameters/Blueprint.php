<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/**
 * A kind of unit as its class declares it: what it is called, and its parameters in the order of its constructor. It makes a
 * unit of what was chosen, all else as usual.
 */
final class Blueprint
{
    /** @var array<class-string, self> */
    private static array $known = [];

    /**
     * @param  class-string  $class
     * @param  array<string, Parameter>  $parameters  by name
     * @param  array<string, When>  $when  by name of the parameter that is shown only then
     * @param  array<string, Unless>  $unless  by name of the parameter that is not shown then
     */
    private function __construct(public readonly string $class, public readonly About $about, public readonly array $parameters, public readonly array $when, public readonly array $unless)
    {
    }

    /** @param class-string $class */
    public static function of(string $class): self
    {
        return self::$known[$class] ??= self::read($class);
    }

    /** @param class-string $class */
    private static function read(string $class): self
    {
        $reflection = new \ReflectionClass($class);
        $about = $reflection->getAttributes(About::class)[0] ?? throw new \LogicException("$class does not say what it is called.");
        $parameters = $when = $unless = [];
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $declared = $parameter->getAttributes(Parameter::class, \ReflectionAttribute::IS_INSTANCEOF)[0] ?? throw new \LogicException("$class does not say what {$parameter->getName()} means.");
            $parameters[$parameter->getName()] = $declared->newInstance();
            foreach ($parameter->getAttributes(When::class) as $condition) {
                $when[$parameter->getName()] = $condition->newInstance();
            }
            foreach ($parameter->getAttributes(Unless::class) as $condition) {
                $unless[$parameter->getName()] = $condition->newInstance();
            }
        }

        return new self($class, $about->newInstance(), $parameters, $when, $unless);
    }

    /**
     * The unit with what was chosen. A stored value that its parameter does not take counts as not chosen.
     *
     * @param  array<string, mixed>  $with  stored values by name
     */
    public function make(array $with, HouseRules $rules): object
    {
        $format = $rules->unit->isMetric() ? LengthFormat::millimetres() : LengthFormat::inches();
        $values = [];
        foreach ($this->parameters as $name => $parameter) {
            try {
                $values[$name] = isset($with[$name]) ? $parameter->value($parameter->stored($with[$name], $format)) : $parameter->usual($rules);
            } catch (Unreadable) {
                $values[$name] = $parameter->usual($rules);
            }
        }

        return new ($this->class)(...$values);
    }

    /**
     * Stored values that their parameters do not take, or that name none: a sentence for each, by name.
     *
     * @param  array<mixed>  $with
     * @return array<string, string>
     */
    public function faults(array $with, LengthFormat $format): array
    {
        $faults = [];
        foreach ($with as $name => $stored) {
            try {
                $this->stored((string) $name, $stored, $format);
            } catch (Unreadable $unreadable) {
                $faults[(string) $name] = $unreadable->getMessage();
            }
        }

        return $faults;
    }

    /**
     * What is stored for a value that was given for a parameter.
     *
     * @return array<mixed>|bool|int|string
     *
     * @throws Unreadable
     */
    public function stored(string $name, mixed $given, LengthFormat $format): array|bool|int|string
    {
        $parameter = $this->parameters[$name] ?? throw new Unreadable(sprintf('%s has no “%s”. It has: %s.', $this->about->label, $name, implode(', ', array_keys($this->parameters)) ?: 'nothing to choose'));

        return $parameter->stored($given, $format);
    }

    /**
     * What of another kind's chosen values this one keeps: those of the same name that it takes too.
     *
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    public function keeping(array $with, LengthFormat $format): array
    {
        return array_diff_key($with, $this->faults($with, $format));
    }

    /**
     * Whether a parameter means anything beside the values of others, all else as usual.
     *
     * @param  array<mixed>  $with  as given; what is empty is not chosen
     */
    public function means(string $name, array $with, HouseRules $rules, LengthFormat $format): bool
    {
        $is = function (When|Unless|null $one) use ($with, $rules, $format): ?bool {
            if ($one === null) {
                return null;
            }
            $given = $with[$one->name] ?? '';
            $usual = $this->parameters[$one->name]->usual($rules);

            return ($given !== '' ? $this->stored($one->name, $given, $format) : ($usual instanceof \BackedEnum ? $usual->value : $usual)) === $one->stored();
        };

        return $is($this->when[$name] ?? null) !== false && $is($this->unless[$name] ?? null) !== true;
    }

    /** @return list<array<string, mixed>> the parameters for a screen, in their order */
    public function described(HouseRules $rules, LengthFormat $format): array
    {
        return array_map(function (string $name, Parameter $parameter) use ($rules, $format): array {
            ['value' => $usual, 'text' => $text] = $parameter->shown($parameter->usual($rules), $format);

            return [
                'name' => $name, 'type' => $parameter->type(), 'label' => $parameter->label, 'help' => $parameter->help,
                'default' => $parameter->type() === 'size' && $usual !== null ? ['nm' => $usual, 'text' => $text] : $usual, 'default_text' => $text,
                'when' => isset($this->when[$name]) ? [$this->when[$name]->name => $this->when[$name]->stored()] : null,
                'unless' => isset($this->unless[$name]) ? [$this->unless[$name]->name => $this->unless[$name]->stored()] : null,
            ] + $parameter->bounds($format);
        }, array_keys($this->parameters), $this->parameters);
    }

    /**
     * What a unit's parameters are, and whether each is as usual.
     *
     * @return array<string, array{value: mixed, text: string, usual: bool}>
     */
    public function shown(object $unit, HouseRules $rules, LengthFormat $format): array
    {
        $values = get_object_vars($unit);
        $shown = [];
        foreach ($this->parameters as $name => $parameter) {
            $now = $parameter->shown($values[$name], $format);
            $shown[$name] = $now + ['usual' => $now === $parameter->shown($parameter->usual($rules), $format)];
        }

        return $shown;
    }
}
