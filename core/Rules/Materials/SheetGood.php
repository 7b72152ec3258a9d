<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/** Bought in sheets: plywood and the like. */
final readonly class SheetGood extends Material
{
}
