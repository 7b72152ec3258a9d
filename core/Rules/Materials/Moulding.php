<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/** Has a profile along its length, so that it is cut across only: what is made of it is as wide as it is. */
final readonly class Moulding extends Lineal
{
}
