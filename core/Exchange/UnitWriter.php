<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Units\Family;
use Incastro\Units\Kinds;

/** Every kind of unit with its parameters, as screens and scripts read them. */
final readonly class UnitWriter
{
    public function __construct(private LengthFormat $format, private HouseRules $rules, private Catalogue $materials)
    {
    }

    /** @return list<array<string, mixed>> */
    public function all(): array
    {
        return array_merge([], ...array_map(fn (Family $family) => array_map(fn (Blueprint $blueprint) => $this->one($family, $blueprint), Kinds::standard()->of($family)), Family::cases()));
    }

    /** @return array<string, mixed> */
    private function one(Family $family, Blueprint $blueprint): array
    {
        $about = $blueprint->about;
        $unit = $blueprint->make([], $this->rules);

        return [
            'kind' => $about->kind, 'family' => $family->value, 'family_label' => $family->label(), 'group' => $about->group,
            'label' => $about->label, 'hint' => $about->hint, 'version' => $about->version,
            'parameters' => $blueprint->described($this->rules, $this->format),
            'demand' => $this->demand($unit),
            'form' => $unit instanceof SpansCells ? $unit->form()->value : null,
        ];
    }

    /** Least and most of width, height and depth, where there are any. */
    private function demand(object $unit): object
    {
        $demand = $unit instanceof HoldsOpening || $unit instanceof HoldsCell ? $unit->demand($this->rules, $this->materials) : null;

        return $demand === null ? new \stdClass() : (object) array_map($this->extent(...), ['width' => $demand->width, 'height' => $demand->height, 'depth' => $demand->depth]);
    }

    /** @return array{?array{nm: int, text: string}, ?array{nm: int, text: string}} */
    private function extent(Extent $extent): array
    {
        $write = fn (?Length $length): ?array => $length === null || $length->isZero() ? null : ['nm' => $length->nanometres(), 'text' => $this->format->write($length)];

        return [$write($extent->least), $write($extent->most)];
    }
}
