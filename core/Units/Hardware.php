<?php

declare(strict_types=1);

namespace Incastro\Units;

/** Something to buy by the piece. */
final readonly class Hardware
{
    public function __construct(public string $name, public int $quantity, public string $use)
    {
    }

    /**
     * The same things for the same use counted together, in the order in which they come first.
     *
     * @param  list<self>  $all
     * @return list<self>
     */
    public static function counted(array $all): array
    {
        $counted = [];
        foreach ($all as $one) {
            $key = $one->name.'|'.$one->use;
            $counted[$key] = new self($one->name, $one->quantity + ($counted[$key]->quantity ?? 0), $one->use);
        }

        return array_values($counted);
    }
}
