<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;

/** Something bought by the piece, as one shop sells it: so many in a pack, at a price for the pack in the job's own money; null where nobody asked. `load` in kg. */
final readonly class Article
{
    public function __construct(public string $id, public ArticleKind $kind, public ?Length $length, public ?float $load, public int $pack, public ?float $price)
    {
    }

    /** Whether it does where something of a length is needed that carries so much. */
    public function serves(ArticleKind $kind, ?Length $length, ?float $load): bool
    {
        if ($kind !== $this->kind || ($load ?? 0.0) > ($this->load ?? INF)) {
            return false;
        }

        return $length === null || ($this->length !== null && ($kind->isCut() ? ! $this->length->isLessThan($length) : $this->length->isEqualTo($length)));
    }
}
