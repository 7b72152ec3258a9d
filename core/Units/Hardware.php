<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Measure\Length;
use Incastro\Rules\Materials\ArticleKind;

/** Something to buy by the piece: what it is called, and what it is bought as. `load` in kg. */
final readonly class Hardware
{
    public function __construct(public string $name, public int $quantity, public string $use, public ArticleKind $kind, public ?Length $length = null, public ?float $load = null)
    {
    }

    public function times(int $quantity): self
    {
        return new self(...['quantity' => $quantity] + get_object_vars($this));
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
            $counted[$key] = $one->times($one->quantity + ($counted[$key]->quantity ?? 0));
        }

        return array_values($counted);
    }
}
