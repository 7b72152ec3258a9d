<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

/**
 * New ids for cells, made from the seed that an edit carries: the same edit makes the same cells wherever it is applied. An id
 * that the layout has already is passed over.
 */
final class LayoutIds
{
    private int $count = 0;

    /** @param list<string> $taken */
    public function __construct(private readonly string $seed, private array $taken = [])
    {
    }

    /** A UUID of version 8: the first bits of a SHA-256, which says nothing of where or when. */
    public function next(): string
    {
        do {
            $hash = hash('sha256', $this->seed.'/'.$this->count++);
            $id = sprintf('%s-%s-8%s-%x%s-%s', substr($hash, 0, 8), substr($hash, 8, 4), substr($hash, 13, 3), 8 + hexdec($hash[16]) % 4, substr($hash, 17, 3), substr($hash, 20, 12));
        } while (in_array($id, $this->taken, true));
        $this->taken[] = $id;

        return $id;
    }
}
