<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\Box;

/**
 * A task of fitting day as it follows from what is built: whose it is, how long it takes and for how many, what it waits for, what is said and
 * read there. Its id, `kind:owner`, stays the same when the plan changes.
 */
final readonly class FittingTask
{
    public string $id;

    /**
     * @param  list<Need>  $needs
     * @param  list<string>  $words  what is done, in one or two sentences
     * @param  list<Check>  $checks  what is read before it counts as done
     * @param  list<ScrewPlace>  $screws
     * @param  list<array{u: float, v: float, text: string, place?: string}>  $packs  what lies under or behind, at its place in the frame of its wall, mm
     * @param  array{float, float, float, float}|null  $place  where it is done, in the frame of its wall: from and to along it, from and to over the floor, mm
     * @param  float  $kilograms  of what is carried, as it is carried
     */
    public function __construct(
        public TaskKind $kind,
        string $owner,
        public string $name,
        public float $minutes,
        public int $people = 1,
        public array $needs = [],
        public array $words = [],
        public array $checks = [],
        public array $screws = [],
        public array $packs = [],
        public ?int $wall = null,
        public ?array $place = null,
        public float $kilograms = 0.0,
        public ?string $problem = null,
        public ?Product $applies = null,
    ) {
        $this->id = self::id($kind, $owner);
    }

    public static function id(TaskKind $kind, string $owner): string
    {
        return "$kind->value:$owner";
    }

    /** @return array{float, float, float, float} where a box stands, as a task is placed */
    public static function placeOf(Box $box): array
    {
        return [$box->u, $box->right(), $box->z, $box->highest()];
    }

    /**
     * The same, waiting for more.
     *
     * @param  list<Need>  $needs
     */
    public function after(array $needs): self
    {
        return new self(...['owner' => substr($this->id, strlen($this->kind->value) + 1), 'needs' => [...$this->needs, ...$needs]] + array_diff_key(get_object_vars($this), ['id' => 1]));
    }
}
