<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;

/** What a sum gives: its answers, the drawing that carries them, and what is worth saying besides. */
final readonly class Worked
{
    /**
     * @param  non-empty-list<Answer>  $answers
     * @param  list<string>  $says
     * @param  string  $formula  in words and signs
     */
    public function __construct(public array $answers, public Drawing $drawing, public array $says = [], public string $formula = '')
    {
    }

    public function by(string $formula): self
    {
        return new self($this->answers, $this->drawing, $this->says, $formula);
    }
}
