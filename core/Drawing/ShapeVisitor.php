<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * What a writer does with each kind of shape; T is what it makes of one. A new kind is a new method here, which every
 * writer then has to answer.
 *
 * @template T
 */
interface ShapeVisitor
{
    /** @return T */
    public function outline(Outline $outline): mixed;

    /** @return T */
    public function dimension(Dimension $dimension): mixed;

    /** @return T */
    public function label(Label $label): mixed;
}
