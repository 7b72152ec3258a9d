<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Geometry\Convex;
use Incastro\Geometry\Vector;
use Incastro\Planning\SpacePlan;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Placed;

/** How far two faces of placed pieces lie apart, from the pieces' own solids: a face is named by a place on it and the way it looks. */
final readonly class FaceDistance
{
    /** Faces whose directions differ by less are parallel: the cosine between them. */
    private const PARALLEL = 0.9995;

    /** A place this near to the plane of a face is on it, mm. */
    private const ON = 3.0;

    public function __construct(private SpacePlan $space)
    {
    }

    /**
     * Square to both where they are parallel, mm; null where they are not, or where no face is at such a place.
     *
     * @param  array{key: string, at: Vector, looks: Vector}  $one  in the space's own coordinates
     * @param  array{key: string, at: Vector, looks: Vector}  $other
     */
    public function between(array $one, array $other): ?float
    {
        $a = $this->plane($one['key'], $one['at'], $one['looks']);
        $b = $this->plane($other['key'], $other['at'], $other['looks']);
        if ($a === null || $b === null || abs($a[0]->dot($b[0])) < self::PARALLEL) {
            return null;
        }

        return abs($b[1]->minus($a[1])->dot($a[0]));
    }

    /** @return array{Vector, Vector}|null the way that the face looks, and a corner of it */
    private function plane(string $key, Vector $at, Vector $looks): ?array
    {
        foreach ($this->placed() as [$frame, $placed]) {
            if ($placed->piece->key !== $key) {
                continue;
            }
            foreach ($placed->inRoom($frame)->parts as $part) {
                foreach ($part->faces as $face) {
                    [$normal, $corner] = self::face($part, $face);
                    if (abs($normal->dot($looks)) > self::PARALLEL && abs($at->minus($corner)->dot($normal)) < self::ON) {
                        return [$normal, $corner];
                    }
                }
            }
        }

        return null;
    }

    /**
     * @param  list<int>  $face
     * @return array{Vector, Vector}
     */
    private static function face(Convex $part, array $face): array
    {
        [$a, $b, $c] = array_map(fn (int $corner) => new Vector(...$part->corners()[$corner]), array_slice($face, 0, 3));
        $across = $b->minus($a)->cross($c->minus($a));

        return [$across->times(1.0 / max(1e-9, $across->length())), $a];
    }

    /** @return iterable<array{RunFrame, Placed}> */
    private function placed(): iterable
    {
        foreach ($this->space->layout->runs ?? [] as $r => $run) {
            foreach ($this->space->assemblies[$r]->placed as $placed) {
                yield [$run->frame, $placed];
            }
        }
        foreach ($this->space->layout->surfaces ?? [] as $s => $surface) {
            foreach ($this->space->onWall($s)->placed as $placed) {
                yield [$surface->frame, $placed];
            }
        }
    }
}
