<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** What a plan of sheets is for. */
enum Objective: string
{
    /** The least money, and at that the fewest settings of the fence. */
    case Money = 'money';

    /** The fewest sheets, whatever their kind, and of those the least money. */
    case Sheets = 'sheets';

    /** As money, and looked for ten times as long for fewer settings. */
    case Settings = 'settings';

    /** The least money, and at that the greatest piece of a sheet that is left over in one. */
    case Offcut = 'offcut';

    /** A sheet weighs more than any sum of prices. */
    private const WEIGHT = 1e7;

    public function label(): string
    {
        return match ($this) {
            self::Money => 'Least money',
            self::Sheets => 'Fewest sheets',
            self::Settings => 'Fewest settings',
            self::Offcut => 'Biggest offcut',
        };
    }

    /**
     * The stock as it is weighed.
     *
     * @param  list<Stock>  $stock
     * @return list<Stock>
     */
    public function weighed(array $stock): array
    {
        return $this === self::Sheets ? array_map(fn (Stock $one) => $one->at($one->price + ($one->price > 0.0 ? self::WEIGHT : 0.0)), $stock) : $stock;
    }

    /** A price without the weight of its sheets. */
    public function price(float $weighed): float
    {
        return $this === self::Sheets ? round(fmod($weighed, self::WEIGHT), 2) : $weighed;
    }

    /** Steps towards what is wanted at a price, in times of those towards less money. */
    public function effort(): int
    {
        return $this === self::Money || $this === self::Sheets ? 1 : 10;
    }

    /**
     * Of plans that are made one after another the best, and of equals the first.
     *
     * @param  iterable<SheetPlan>  $plans  one at least
     * @param  \Closure(SheetPlan): list<int|float>  $atSaw  how well a plan is sawn; the least is the best
     */
    public function best(iterable $plans, \Closure $atSaw): SheetPlan
    {
        $best = $least = null;
        foreach ($plans as $plan) {
            $cost = $this->cost($plan, $atSaw($plan));
            [$best, $least] = $least === null || $cost < $least ? [$plan, $cost] : [$best, $least];
        }

        return $best ?? throw new \LogicException('There is no plan to choose from.');
    }

    /**
     * What plans are compared by: the least is the best.
     *
     * @param  list<int|float>  $atSaw  how well it is sawn, as whoever compares counts that
     * @return list<int|float>
     */
    public function cost(SheetPlan $plan, array $atSaw): array
    {
        $least = [count($plan->unplaced), round($plan->price, 2)];

        return match ($this) {
            self::Money, self::Settings => [...$least, ...$atSaw],
            self::Sheets => [$least[0], count($plan->sheets), $least[1], ...$atSaw],
            self::Offcut => [...$least, -($plan->greatestOffcut()?->area() ?? 0.0), ...$atSaw],
        };
    }
}
