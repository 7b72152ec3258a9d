<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** What the readings say about each other: the solution without the proven wrong ones, and who stands accused of what. */
final readonly class Scrutinised
{
    /**
     * @param  list<Suspect>  $suspects  in the order struck
     * @param  list<UndecidedSet>  $undecided
     * @param  bool  $tooFew  whether more is wrong than so few readings can point at
     */
    public function __construct(
        public Adjusted $adjusted,
        public array $suspects,
        public array $undecided,
        public bool $tooFew,
    ) {
    }

    /** Whether nothing in the solution disagrees beyond what tools do. */
    public function isConsistent(): bool
    {
        if ($this->undecided !== [] || $this->tooFew) {
            return false;
        }
        $residuals = new Residuals($this->adjusted);
        $largest = $residuals->largest();

        return $largest === null || abs($residuals->normalised($largest)) <= Normal::familyWise(count($residuals->checked));
    }

    /** Whether so little is left to check the rest, once the suspects are struck, that a second slip could hide behind the first. */
    public function isThin(): bool
    {
        return $this->suspects !== [] && $this->adjusted->degreesOfFreedom() <= Scrutiny::PROOF;
    }

    public function suspects(string $id): bool
    {
        return array_filter($this->suspects, fn (Suspect $suspect) => $suspect->id === $id) !== [];
    }
}
