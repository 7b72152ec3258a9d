<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

/**
 * A column of a run, counted from the left. `joined` says whether it shares a board with the bay to its left. `snap` names a
 * thing on the wall with whose edge or centre line the bay's right side lines up.
 */
final readonly class Bay
{
    /** @param non-empty-list<Tier> $tiers from the bottom */
    public function __construct(
        public string $id,
        public Size $size,
        public bool $joined,
        public TopForm $top,
        public array $tiers,
        public ?string $snap = null,
    ) {
    }

    public function isAllBoxes(): bool
    {
        foreach ($this->tiers as $tier) {
            if (! $tier->isBoxed()) {
                return false;
            }
        }

        return true;
    }

    /**
     * Its tiers by the boxes they belong to: those linked by joined boundaries, as long as they hold boxes.
     *
     * @return non-empty-list<non-empty-list<Tier>>
     */
    public function stacks(): array
    {
        $stacks = [[$this->tiers[0]]];
        for ($i = 1; $i < count($this->tiers); $i++) {
            $below = $this->tiers[$i - 1];
            $tier = $this->tiers[$i];
            if ($tier->joined && $tier->isBoxed() && $below->isBoxed() && $tier->depth?->nanometres() === $below->depth?->nanometres()) {
                $stacks[count($stacks) - 1][] = $tier;
            } else {
                $stacks[] = [$tier];
            }
        }

        return $stacks;
    }
}
