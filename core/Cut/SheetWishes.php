<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** How somebody wants the sheets of a job planned. */
final readonly class SheetWishes
{
    /**
     * @param  ?string  $keepsFirst  what was planned when the first plan was to stay, although better ones are found
     * @param  list<LockedSheet>  $locked
     * @param  bool  $frontsInOrder  whether fronts of one height come from one strip, in their order, so that the figure of the wood runs on
     * @param  bool  $boxesTogether  whether the pieces of a box that have one material come from one sheet: two sheets may differ in thickness
     * @param  int  $seconds  for which a better plan is looked for; 0: not at all
     */
    public function __construct(public Objective $objective = Objective::Money, public ?string $keepsFirst = null, public array $locked = [], public bool $frontsInOrder = false, public bool $boxesTogether = false, public int $seconds = 20)
    {
    }

    /** The same with another objective, and nothing else wished for. */
    public function towards(Objective $objective): self
    {
        return new self($objective, null, $this->locked, $this->frontsInOrder, $this->boxesTogether, $this->seconds);
    }
}
