<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Demand\Standing;
use Incastro\Fit\Holds\Holds;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;

/** Every kind of unit that there is: the classes in the folders of the families, by the word that documents have for them. */
final class Kinds
{
    private static ?self $standard = null;

    /** @var array<string, array{Family, Blueprint}> by kind, in the order of families, the common ones first, and names */
    private array $all = [];

    private function __construct()
    {
        foreach (Family::cases() as $family) {
            $blueprints = [];
            foreach (glob(__DIR__.'/'.$family->folder().'/*.php') ?: [] as $file) {
                $class = __NAMESPACE__.'\\'.$family->folder().'\\'.basename($file, '.php');
                if (is_a($class, Holds::class, true)) {
                    $blueprints[] = Blueprint::of($class);
                }
            }
            usort($blueprints, fn (Blueprint $one, Blueprint $other) => $other->about->isCommon <=> $one->about->isCommon);
            foreach ($blueprints as $blueprint) {
                $this->all[$blueprint->about->kind] = [$family, $blueprint];
            }
        }
    }

    public static function standard(): self
    {
        return self::$standard ??= new self();
    }

    public function find(string $kind): ?Blueprint
    {
        return $this->all[$kind][1] ?? null;
    }

    public function family(string $kind): ?Family
    {
        return $this->all[$kind][0] ?? null;
    }

    /** @return list<Blueprint> */
    public function of(Family ...$families): array
    {
        return array_values(array_map(fn (array $one) => $one[1], array_filter($this->all, fn (array $one) => in_array($one[0], $families, true))));
    }

    /** The kind of a cell in which nothing stands. */
    public function nothing(): string
    {
        foreach ($this->of(Family::Cell) as $blueprint) {
            $unit = $blueprint->make([], new HouseRules(\Incastro\Measure\Unit::Millimetre));
            if ($unit instanceof HoldsCell && $unit->standing() === Standing::Nothing && $blueprint->parameters === []) {
                return $blueprint->about->kind;
            }
        }

        throw new \LogicException('There is no kind that stands for nothing.');
    }
}
