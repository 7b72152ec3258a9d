<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\ScreenWriter;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Sums\AllSums;
use Incastro\Sums\Answer;
use Incastro\Sums\Worked;

/** Quick sums with their fields, and what they come to, as screens and scripts read them. */
final readonly class SumWriter
{
    public function __construct(private LengthFormat $format)
    {
    }

    /** @return list<array{name: string, label: string, hint: string, group: string, parameters: list<array<string, mixed>>, drawing: array<string, mixed>}> each with the drawing of its example */
    public function all(): array
    {
        $rules = new HouseRules($this->format->unit);

        return array_map(fn (Blueprint $sum) => [
            'name' => $sum->about->kind, 'label' => $sum->about->label, 'hint' => $sum->about->hint, 'group' => $sum->about->group,
            'parameters' => $sum->described($rules, $this->format->finest()),
            'drawing' => ScreenWriter::write($this->example($sum)->drawing),
        ], AllSums::blueprints());
    }

    private function example(Blueprint $sum): Worked
    {
        return AllSums::worked($sum, [], $this->format)[0] ?? throw new \LogicException("The example of {$sum->about->kind} has no answer.");
    }

    /** @return array{answers: list<array<string, mixed>>, says: list<string>, formula: string} workings as lengths, marks without their unit */
    public function worked(Worked $worked): array
    {
        $lengths = new LengthWriter($this->format);

        return [
            'answers' => array_map(fn (Answer $answer) => [
                'label' => $answer->label, 'text' => $answer->text,
                'working' => $answer->working === null ? null : ['text' => $answer->text] + $lengths->working($answer->working),
                'length' => ($length = $answer->asLength()) === null ? null : $lengths->exact($length),
                'marks' => array_map(fn (Length $mark) => ['nm' => $mark->nanometres(), 'text' => $this->format->finest()->withoutUnit($mark)], $answer->marks),
            ], $worked->answers),
            'says' => $worked->says,
            'formula' => $worked->formula,
        ];
    }

    /** @return array{answers: list<array<string, mixed>>, says: list<string>, formula: string, drawing: array<string, mixed>} */
    public function drawn(Worked $worked): array
    {
        return $this->worked($worked) + ['drawing' => ScreenWriter::write($worked->drawing)];
    }
}
