<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Reading;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Survey;

/**
 * A practice space: a hidden room that a person measures with a simulated tape. Tells what the tape reads, and afterwards
 * how near they came and what they missed.
 */
final readonly class Practice
{
    /** Share of readings that go wrong, as they do when one is tired. */
    private const SLIPS = 0.05;

    /** A reading this many σ off the truth is a slip. */
    private const A_SLIP = 5.0;

    private HiddenRoom $room;

    public function __construct(private Sheet $sheet, int $seed, private LengthFormat $format)
    {
        $this->room = new HiddenRoom($sheet->shape, $seed);
    }

    /**
     * What the tape reads at a slot: text to type, and at which end. Each take is a throw of its own, the same again for
     * the same take.
     *
     * @param  array<string, Reading>  $known
     * @return array{text: string, end: ?string}|null null where the sheet has no such slot
     */
    public function read(string $slotId, int $take, array $known): ?array
    {
        $sheet = $this->sheet->knowing($known);
        foreach ($sheet->slots() as $slot) {
            if ($slot->id === $slotId) {
                $dice = new Dice(crc32($this->room->seed.'/'.$slotId.'/'.$take));
                $value = (new Tape($dice, $this->format, self::SLIPS))->read($slot, $this->room->truth($sheet, $slot));
                $text = $slot->kind->isAngle() ? sprintf('%.1f', $value) : $this->format->finest()->write(Length::ofDouble(abs($value)));

                return ['text' => trim(str_replace(['mm', 'in'], '', $text)), 'end' => $slot->ends === [] ? null : $slot->ends[$value < 0 ? 1 : 0]];
            }
        }

        return null;
    }

    /**
     * How near the survey came to the hidden room. Null while the readings do not make a room.
     *
     * @return array{span: array{true: float, found: float, doubt: float}, corner: float, slips: list<array{slot: string, label: string, off: float, caught: bool}>}|null
     */
    public function report(Survey $survey): ?array
    {
        if ($survey->room === null) {
            return null;
        }
        $found = $survey->room;
        $true = $this->trueRoom($found);
        $frame = $found->frame();
        $path = $frame->wholePath();
        $span = $frame->span($path);
        $off = array_map(fn (int $corner) => $found->corners[$corner]->distanceTo($true->corners[$corner]), array_keys($found->corners));

        return [
            'span' => ['true' => $true->frame()->span($path)->width, 'found' => $span->width, 'doubt' => $span->doubt],
            'corner' => max([0.0, ...$off]),
            'slips' => $this->slips($survey),
        ];
    }

    /** The hidden room in the unknowns of the survey's own network. */
    private function trueRoom(Room $found): Room
    {
        $adjusted = $found->adjusted;
        $truth = new Adjusted($this->room->unknowns($found->network), $adjusted->covariance, $adjusted->observations, $adjusted->rows, $adjusted->residuals);

        return new Room($found->shape, $found->network, $truth, $found->levels, $found->heightInFront, $found->heightInFrontSigma, $found->skirtingHeight, $found->skirtingThickness, []);
    }

    /**
     * Takes that are far off the truth, and whether the person caught them.
     *
     * @return list<array{slot: string, label: string, off: float, caught: bool}>
     */
    private function slips(Survey $survey): array
    {
        $slips = [];
        foreach ($survey->readings as $reading) {
            $truth = $this->room->truth($survey->sheet, $reading->slot);
            foreach ($reading->takes as $take) {
                $off = $take->signed($reading->slot) - $truth;
                if (abs($off) > self::A_SLIP * max($reading->sigmaOf($take), $this->roughness($reading->slot))) {
                    $slips[] = ['slot' => $reading->slot->id, 'label' => $reading->slot->label, 'off' => $off, 'caught' => in_array($take->id, $survey->struck, true)];
                }
            }
        }

        return $slips;
    }

    /** What rounding alone may cost, mm or degrees. */
    private function roughness(Slot $slot): float
    {
        return $slot->kind->isAngle() ? 0.1 : $this->format->step->toDouble() / 2;
    }
}
