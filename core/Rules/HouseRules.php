<?php

declare(strict_types=1);

namespace Incastro\Rules;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\Schools\Schools;

/**
 * The rules a job is built by: a length for every `Rule`, whether skirting stays, whether the work is painted, whether a raked
 * top lies over its sides, the schools that are followed, and the tools that are not at hand.
 */
final readonly class HouseRules
{
    /**
     * @param  array<string, Length>  $lengths  by rule name; a rule not named has the default of the unit
     * @param  list<Tool>  $lacks
     */
    public function __construct(
        public Unit $unit,
        private array $lengths = [],
        public bool $skirtingStays = false,
        public bool $painted = true,
        public bool $topOverSides = false,
        public Schools $schools = new Schools(),
        private array $lacks = [],
    ) {
    }

    /** The same with a school or a tool chosen otherwise, as `Edits` makes it. */
    public function choosing(Edit $edit): self
    {
        [$list, $name] = explode('.', $edit->path);
        $tool = Tool::tryFrom($name);
        $lacks = $tool === null ? $this->lacks : array_values(array_filter([...$this->lacks, $tool], fn (Tool $one) => $one !== $tool || $edit->value !== true));

        return new self(...[
            'schools' => $list === 'schools' && is_string($edit->value) ? $this->schools->choosing($name, $edit->value) : $this->schools,
            'lacks' => $lacks,
        ] + get_object_vars($this));
    }

    public function owns(Tool $tool): bool
    {
        return ! in_array($tool, $this->lacks, true);
    }

    public function get(Rule $rule): Length
    {
        return $this->lengths[$rule->value] ?? $rule->default($this->unit);
    }

    /** The rule in double millimetres, for geometry. */
    public function mm(Rule $rule): float
    {
        return $this->get($rule)->toDouble();
    }

    /** A size that common practice has as one round figure in mm and as another in inches. */
    public function either(float $mm, float $inches): Length
    {
        return Length::ofDouble($this->unit->isMetric() ? $mm : 25.4 * $inches);
    }
}
