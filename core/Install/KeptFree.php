<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\ThingKind;

/**
 * Strips of a wall in which no screw goes: straight up, down and sideways of every socket, switch, box and valve, and along pipes. Cables keep to
 * such strips by habit only: a detector and the local code go first.
 */
final readonly class KeptFree
{
    /** Besides the thing itself, mm and inches. */
    private const BESIDE = [50.0, 2.0];

    /** So near a ceiling or a corner wiring may run, mm and inches: a screw stays there, with detector and pilot probe first. */
    private const NEAR = [150.0, 6.0];

    /**
     * @param  list<array{name: string, block: Block, isCross: bool}>  $things  from what they keep free
     */
    private function __construct(private RunFrame $frame, private array $things, private float $beside, private float $near)
    {
    }

    public static function of(RunFrame $frame, Terms $terms): self
    {
        $places = new ThingPlace($terms->room, $frame);
        $things = [];
        foreach ($places->onItsWall(ThingKind::Socket, ThingKind::Switch, ThingKind::JunctionBox, ThingKind::Valve) as [$thing, $block]) {
            $things[] = ['name' => lcfirst($thing->name), 'block' => $block, 'isCross' => true];
        }
        foreach ($places->onItsWall(ThingKind::Pipe) as [$thing, $block]) {
            $things[] = ['name' => lcfirst($thing->name), 'block' => $block, 'isCross' => false];
        }

        return new self($frame, $things, $terms->rules->either(...self::BESIDE)->toDouble(), $terms->rules->either(...self::NEAR)->toDouble());
    }

    /** What keeps a place free, by name; null where a screw may go. */
    public function why(float $u, float $z): ?string
    {
        foreach ($this->things as ['name' => $name, 'block' => $block, 'isCross' => $isCross]) {
            $isAlong = $u > $block->u0 - $this->beside && $u < $block->u1 + $this->beside;
            $isAcross = $z > $block->z0 - $this->beside && $z < $block->z1 + $this->beside;
            if ($isCross ? $isAlong || $isAcross : $isAlong && $isAcross) {
                return $name;
            }
        }

        return null;
    }

    /** Whether wiring may run there by habit, near the ceiling or a corner. */
    public function isNearEdge(float $u, float $z): bool
    {
        return $u < $this->near || $u > $this->frame->length() - $this->near || $z > $this->frame->ceilingAt($u, 0.0) - $this->near;
    }

    /**
     * The strips as they are hatched, mm.
     *
     * @return list<array{name: string, u0: float, u1: float, z0: float, z1: float}>
     */
    public function strips(): array
    {
        $strips = [];
        foreach ($this->things as ['name' => $name, 'block' => $block, 'isCross' => $isCross]) {
            [$u0, $u1, $z0, $z1] = [$block->u0 - $this->beside, $block->u1 + $this->beside, $block->z0 - $this->beside, $block->z1 + $this->beside];
            $top = $this->frame->ceilingAt(($u0 + $u1) / 2, 0.0);
            array_push($strips, ...($isCross
                ? [['name' => $name, 'u0' => $u0, 'u1' => $u1, 'z0' => 0.0, 'z1' => $top], ['name' => $name, 'u0' => 0.0, 'u1' => $this->frame->length(), 'z0' => $z0, 'z1' => $z1]]
                : [['name' => $name, 'u0' => $u0, 'u1' => $u1, 'z0' => $z0, 'z1' => $z1]]));
        }

        return $strips;
    }
}
