<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Rules\Parameters\Parameter;
use Incastro\Rules\Parameters\Size;

/** A sum for lengths near the one that was typed first: a table for the wall of the workshop. */
final readonly class Around
{
    private const ROWS = 4;

    /** Steps are about this part of the length. */
    private const STEP = 1 / 100;

    /** As many answers stand beside each other. */
    private const ANSWERS = 3;

    /**
     * @param  non-empty-list<string>  $head
     * @param  list<non-empty-list<string>>  $rows
     */
    private function __construct(public array $head, public array $rows)
    {
    }

    /** @param array<string, mixed> $typed */
    public static function of(Blueprint $sum, array $typed, LengthFormat $format): ?self
    {
        $rules = new HouseRules($format->unit);
        // The first length that means something with what was chosen.
        $name = array_key_first(array_filter($sum->parameters, fn (Parameter $one, string $name) => $one instanceof Size && $sum->means($name, $typed, $rules, $format), ARRAY_FILTER_USE_BOTH));
        if ($name === null) {
            return null;
        }
        $size = $sum->parameters[$name];
        $value = isset($typed[$name]) && $typed[$name] !== '' ? $size->value($sum->stored($name, $typed[$name], $format)) : $size->usual($rules);
        if (! $value instanceof Length) {
            return null;
        }
        $step = Length::ofDouble(Handy::near($value->toDouble() * self::STEP, $format));
        $head = $rows = [];
        for ($i = -self::ROWS; $i <= self::ROWS; $i++) {
            $at = $value->plus($step->times($i));
            [$worked] = AllSums::worked($sum, [$name => ['nm' => $at->nanometres(), 'text' => $format->finest()->write($at)]] + $typed, $format);
            if ($worked === null) {
                continue;
            }
            $answers = array_slice(array_values(array_filter($worked->answers, fn (Answer $one) => $one->marks === [])), 0, self::ANSWERS);
            $head = $head === [] ? [$size->label, ...array_map(fn (Answer $one) => $one->label, $answers)] : $head;
            $rows[] = [$format->finest()->write($at), ...array_map(fn (Answer $one) => $one->text, $answers)];
        }

        return $head === [] ? null : new self($head, $rows);
    }
}
