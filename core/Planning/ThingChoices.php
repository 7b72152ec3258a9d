<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Things\Bears;
use Incastro\Survey\Things\Carries;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/** Edits of the things on a space's faces: a thing is placed by typing its two distances. */
final class ThingChoices
{
    private const MOST = 100;

    /** Narrower than this, a door is not a door, mm. */
    private const NARROWEST_DOOR = 100;

    private const NAMES = ['kind', 'name', 'face', 'wall', 'along', 'along_from', 'up', 'up_from', 'width', 'height', 'stands_out', 'rule', 'reach_from', 'hand_room', 'clearance', 'swing', 'direction', 'traced', 'offsets', 'hot', 'carries', 'bears', 'behind', 'behind_head', 'fall'];

    public static function entries(LengthFormat $format, SpaceShape $shape): EntryList
    {
        $values = fn (array $cases) => array_map(fn (\BackedEnum $case) => (string) $case->value, array_values($cases));

        return new EntryList('things', 'a thing of this space', self::NAMES, function (string $name, array $entry) use ($format, $shape, $values): ?Field {
            $kind = is_string($entry['kind'] ?? null) ? ThingKind::tryFrom($entry['kind']) : null;
            $mm = Length::ofMillimetres(...);
            $distance = fn (string $label) => Field::length($label, $format, $mm(0), $mm(20_000));

            return match ($name) {
                'kind' => Field::oneOf('What it is', $values(ThingKind::cases())),
                'name' => Field::text('Name', 60),
                'face' => Field::oneOf('Where it is', $values(Face::cases())),
                'wall' => Field::whole('Wall', 0, $shape->corners() - 1),
                'along' => $distance('Distance from the side'),
                'along_from' => Field::oneOf('Side it is measured from', ['left', 'right']),
                'up' => $distance('Distance from the floor or the ceiling'),
                'up_from' => Field::oneOf('Measured from', ['floor', 'ceiling']),
                'width' => Field::length($kind?->isRound() ? 'Diameter' : 'Width', $format, $kind === ThingKind::Door ? $mm(self::NARROWEST_DOOR) : $mm(1), $mm(10_000)),
                'height' => Field::length('Height', $format, $mm(1), $mm(10_000)),
                'stands_out' => $distance('How far it stands out'),
                'rule' => Field::oneOf('Rule', $values(ThingRule::cases())),
                'reach_from' => Field::oneOf('Reached from', ['front', 'above', 'side', 'inside'])->orComputed(),
                'hand_room' => $distance('Hand room')->orComputed(),
                'clearance' => $distance('Clearance')->orComputed(),
                'swing' => Field::oneOf('Swing', ['left', 'right', 'slides'])->orComputed(),
                'direction' => Field::oneOf('Direction', ['up', 'along', 'out'])->orComputed(),
                'traced' => TracedSection::field($format),
                'offsets' => OffsetsRound::field($format),
                'carries' => Field::oneOf('What it carries', $values(Carries::cases()))->orComputed(),
                'bears' => Field::oneOf('Whether it carries the house', $values(Bears::cases()))->orComputed(),
                'behind' => $distance('Its face behind the straightedge, at its foot')->orComputed(),
                'behind_head' => $distance('Its face behind the straightedge, at its head')->orComputed(),
                'fall' => $distance('How much one end lies lower than the other')->orComputed(),
                'hot' => Field::of('Hot', fn (mixed $value) => $value === true),
                default => null,
            };
        }, self::MOST, fn (array $entry) => self::outOfItsSize($entry, $format));
    }

    /** @param array<string, mixed> $entry */
    public static function read(array $entry): Thing
    {
        $mm = fn (?array $stored): float => $stored === null ? 0.0 : Length::ofNanometres($stored['nm'])->toDouble();

        $thing = new Thing(
            $entry['id'],
            ThingKind::from($entry['kind']),
            $entry['name'],
            Face::from($entry['face']),
            $entry['wall'],
            $mm($entry['along']),
            $entry['along_from'] === 'right',
            $mm($entry['up']),
            $entry['up_from'] === 'ceiling',
            $mm($entry['width']),
            $mm($entry['height']),
            $mm($entry['stands_out']),
            ThingRule::from($entry['rule']),
            $entry['reach_from'],
            $mm($entry['hand_room']),
            $mm($entry['clearance']),
            $entry['swing'],
            $entry['direction'],
            isHot: ($entry['hot'] ?? false) === true || ($entry['carries'] ?? null) === Carries::Hot->value,
            carries: Carries::tryFrom($entry['carries'] ?? ''),
            bears: Bears::tryFrom($entry['bears'] ?? ''),
            behindFoot: isset($entry['behind']) ? $mm($entry['behind']) : null,
            behindHead: isset($entry['behind_head']) ? $mm($entry['behind_head']) : null,
            fall: isset($entry['fall']) ? $mm($entry['fall']) : null,
        );
        $round = $thing->kind->isRound() && $thing->face === Face::Floor ? OffsetsRound::round($entry['offsets'] ?? null) : null;
        if ($round !== null) {
            return $thing->placedAs($round->centre, $round->hole(0.0));
        }
        $traced = TracedSection::read($entry['traced'] ?? null, $thing->sectionSize());

        return $traced === null ? $thing : $thing->tracedAs($traced);
    }

    /**
     * A section that reaches out of the size that was measured: one of the two is wrong.
     *
     * @param  array<string, mixed>  $entry
     * @return array{string, string}|null
     */
    private static function outOfItsSize(array $entry, LengthFormat $format): ?array
    {
        $thing = self::read($entry);
        [$wide, $high] = $thing->sectionSize();
        [, $right, , $top] = $thing->traced?->bounds() ?? [0.0, 0.0, 0.0, 0.0];
        $words = match (true) {
            $thing->face !== Face::Wall => ['across', 'out'],
            $thing->runs() === 'along' => ['out', 'up'],
            $thing->runs() === 'up' => ['across', 'out'],
            default => ['across', 'up'],
        };
        foreach ([[$right, $wide, $words[0]], [$top, $high, $words[1]]] as [$reaches, $size, $word]) {
            if ($reaches > $size + 0.05) {
                return ['traced', sprintf('Traced section: it reaches %s %s, but %s measures %s there. Correct one of them.', $format->write(Length::ofDouble($reaches)), $word, lcfirst($thing->name), $format->write(Length::ofDouble($size)))];
            }
        }

        return null;
    }
}
