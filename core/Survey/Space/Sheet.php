<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;

/**
 * The starting sheet of a space: the readings that determine it and check each other, in the order in which a person walks
 * round with a tape. Heights and lengths read so far say where the later ones are taken.
 */
final readonly class Sheet
{
    private SheetPlaces $places;

    /**
     * @param  list<ExtraSlot>  $extras  slots that the person added
     * @param  list<string>  $skipped  slots that cannot be taken here
     * @param  array<string, Reading>  $known  the readings taken so far, by slot
     */
    public function __construct(public SpaceShape $shape, private SheetChoices $choices, private array $extras = [], private array $skipped = [], array $known = [])
    {
        $this->places = new SheetPlaces($shape, $choices, $known);
    }

    /**
     * The same sheet with readings taken.
     *
     * @param  array<string, Reading>  $known
     */
    public function knowing(array $known): self
    {
        return new self($this->shape, $this->choices, $this->extras, $this->skipped, $known);
    }

    /** The same with the places of a time when takes did not keep theirs. */
    public function asBefore(): self
    {
        return new self($this->shape, $this->choices->asBefore(), $this->extras, $this->skipped);
    }

    public function places(): SheetPlaces
    {
        return $this->places;
    }

    /**
     * A reading by its id, also a station of a straightedge beyond those that are asked for today: the wall was longer, or a
     * longer one was read, when it was taken.
     */
    public function slot(string $id): ?Slot
    {
        foreach ($this->slots() as $slot) {
            if ($slot->id === $id) {
                return $slot;
            }
        }
        foreach ($this->extras as $extra) {
            if ($extra->kind === ReadingKind::Offset && preg_match('~^'.preg_quote($extra->id, '~').'\.(\d{1,2})$~', $id, $at) === 1) {
                return (new SlotMaker($this->places))->station($extra, (int) $at[1]);
            }
        }

        return null;
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        $maker = new SlotMaker($this->places);
        $slots = match ($this->shape->kind) {
            SpaceKind::Alcove => (new AlcoveSheet($this->places, $maker))->slots(),
            SpaceKind::Closet => (new ClosetSheet($this->places, $maker))->slots(),
            SpaceKind::UnderStair, SpaceKind::RoofSlope => (new SlopedSheet($this->places, $maker))->slots(),
            default => (new AnySheet($this->places, $maker))->slots(),
        };
        $slots = array_map(fn (Slot $slot) => in_array($slot->id, $this->skipped, true) ? $slot->asOptional() : $slot, $slots);
        $taken = array_column($slots, 'id');

        return [...$slots, ...array_values(array_filter(
            array_merge([], ...array_map(fn (ExtraSlot $extra) => $maker->extra($extra), $this->extras)),
            fn (Slot $slot) => ! in_array($slot->id, $taken, true),
        ))];
    }
}
