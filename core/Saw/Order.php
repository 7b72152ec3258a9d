<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** Settings one after another. */
final readonly class Order
{
    /**
     * @param  list<string>  $settings
     * @param  string  $done  '1' for each cut that is made in the end
     * @param  int  $fewest  what no order goes under
     */
    public function __construct(public array $settings, public string $done, public int $fewest, public bool $isProven)
    {
    }

    public function proven(): self
    {
        return new self($this->settings, $this->done, count($this->settings), true);
    }
}
