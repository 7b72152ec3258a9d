<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

/** How things are done in a job, wherever nothing else is chosen. */
final readonly class Schools
{
    /** @var array<string, class-string<School>> by the name that a job's document has for each */
    public const ALL = ['box_joint' => BoxJoint::class, 'edges' => Edges::class, 'back' => BoxBack::class, 'doors' => Mount::class, 'leaf_build' => LeafBuild::class, 'drawers' => DrawerRun::class, 'drawer_corner' => DrawerCorner::class];

    public function __construct(
        public BoxJoint $boxJoint = BoxJoint::Pocket,
        public Edges $edges = Edges::Frame,
        public BoxBack $back = BoxBack::LaidOn,
        public Mount $doors = Mount::Inset,
        public LeafBuild $leafBuild = LeafBuild::Slab,
        public DrawerRun $drawers = DrawerRun::Side,
        public DrawerCorner $drawerCorner = DrawerCorner::Butt,
    ) {
    }

    /** @param array<string, string> $chosen values that were checked, by name */
    public static function of(array $chosen): self
    {
        $schools = new self();
        foreach (self::ALL as $name => $school) {
            $schools = isset($chosen[$name]) ? $schools->choosing($name, $chosen[$name]) : $schools;
        }

        return $schools;
    }

    /** The same with one chosen otherwise. */
    public function choosing(string $name, string $value): self
    {
        return match ($name) {
            'box_joint' => new self(...['boxJoint' => BoxJoint::from($value)] + get_object_vars($this)),
            'edges' => new self(...['edges' => Edges::from($value)] + get_object_vars($this)),
            'back' => new self(...['back' => BoxBack::from($value)] + get_object_vars($this)),
            'doors' => new self(...['doors' => Mount::from($value)] + get_object_vars($this)),
            'leaf_build' => new self(...['leafBuild' => LeafBuild::from($value)] + get_object_vars($this)),
            'drawers' => new self(...['drawers' => DrawerRun::from($value)] + get_object_vars($this)),
            'drawer_corner' => new self(...['drawerCorner' => DrawerCorner::from($value)] + get_object_vars($this)),
            default => $this,
        };
    }

    /** The one that is followed, of those that a school is one of. */
    public function followed(School $school): School
    {
        foreach (get_object_vars($this) as $followed) {
            if ($followed instanceof $school) {
                return $followed;
            }
        }

        return $school;
    }
}
