<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\WayChoices;
use Incastro\Rules\Edit;
use Incastro\Survey\Space\SpaceKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Edits of a space's shape, the things on its faces and the readings added to its book; each with the edit that undoes it. */
final class SpaceChoicesTest extends TestCase
{
    private const SOCKET = [
        'kind' => 'socket', 'name' => 'Socket', 'face' => 'wall', 'wall' => 0, 'along' => '120', 'along_from' => 'left', 'up' => '300', 'up_from' => 'floor',
        'width' => '80', 'height' => '80', 'stands_out' => '10', 'rule' => 'reachable', 'reach_from' => 'front', 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => null, 'traced' => null,
    ];

    private const DIAGONAL = ['kind' => 'diagonal', 'from' => 0, 'to' => 2, 'wall' => null, 'along' => null, 'height' => null, 'depth' => null, 'level' => false, 'plane' => 0];

    /** @return array<string, mixed> */
    private static function space(SpaceKind $kind = SpaceKind::Other): array
    {
        return SpaceChoices::defaults('Space', LengthFormat::millimetres(), $kind);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     */
    private static function apply(array $document, string $path, mixed $value): array
    {
        return SpaceChoices::apply($document, new Edit($path, $value), LengthFormat::millimetres(), Length::ofMillimetres(18));
    }

    public function test_a_thing_is_added_changed_and_taken_out_and_every_step_undone(): void
    {
        $empty = self::space();
        [$with, $out] = self::apply($empty, 'things.t1', self::SOCKET);
        self::assertSame(120_000_000, $with['things'][0]['along']['nm']);
        [$moved, $back] = self::apply($with, 'things.t1.along', '150');
        self::assertSame('150', $moved['things'][0]['along']['typed']);
        self::assertSame($with, self::apply($moved, $back->path, $back->value)[0]);
        self::assertSame($empty, self::apply($with, $out->path, $out->value)[0]);
    }

    public function test_a_shape_has_three_to_twenty_four_corners_and_outside_ones_among_them(): void
    {
        [$five] = self::apply(self::space(), 'shape.edges', ['wall', 'wall', 'door', 'open', 'wall']);
        self::assertSame(5, SpaceChoices::shape($five)->corners());
        [$outside] = self::apply($five, 'shape.outside', [3]);
        self::assertSame([3], SpaceChoices::shape($outside)->outside);
        // The shape that nobody measured yet never crosses itself.
        self::assertTrue((new \Incastro\Geometry\Polygon(SpaceChoices::shape($outside)->nominal))->isSimple());
    }

    public function test_a_plan_keeps_the_corners_at_which_something_stands(): void
    {
        $five = self::apply(self::space(), 'shape.edges', ['wall', 'wall', 'wall', 'wall', 'open'])[0];
        $shrunk = fn (array $document) => self::apply($document, 'shape.edges', ['wall', 'wall', 'wall', 'wall'])[0];
        self::assertSame(4, SpaceChoices::shape($shrunk($five))->corners());
        $standing = [
            'A run stands at the ' => self::apply($five, 'layout', ['runs' => [LayoutDocument::run('r', 4, [])], 'members' => [], 'closings' => [], 'openings' => []])[0],
            '“Socket” stands at the ' => self::apply($five, 'things.t1', ['wall' => 4] + self::SOCKET)[0],
            'An added reading stands at the ' => self::apply($five, 'extras.x-1', ['from' => 1, 'to' => 4] + self::DIAGONAL)[0],
        ];
        foreach ($standing as $words => $document) {
            try {
                $shrunk($document);
                self::fail('It was taken.');
            } catch (InvalidChoice $refused) {
                self::assertSame('shape.edges', $refused->path);
                self::assertStringContainsString($words, $refused->getMessage());
                self::assertStringContainsString('which would go. Move it or take it away first.', $refused->getMessage());
            }
        }
        // Outside corners that go with their corner take nothing with them.
        $outside = self::apply($five, 'shape.outside', [4])[0];
        self::assertSame([], SpaceChoices::shape($shrunk($outside))->outside);
    }

    /** @return array<string, array{string, mixed, string, string}> */
    public static function refusals(): array
    {
        return [
            'two corners' => ['shape.edges', ['wall', 'wall'], 'shape.edges', 'There are 2. It takes 3 to 24.'],
            'a fence' => ['shape.edges', ['wall', 'fence', 'wall'], 'shape.edges', '“fence” is not one of wall, open, door'],
            'a corner that is not there' => ['shape.outside', [9], 'shape.outside', 'different numbers from 0 to 3'],
            'a narrow door' => ['things.d', ['kind' => 'door', 'width' => '90'] + self::SOCKET, 'things.d.width', '“90” was understood as 90 mm. It must be between 100 mm'],
            'a thing without a name' => ['things.d', ['name' => ' '] + self::SOCKET, 'things.d.name', 'Name'],
            'a wall that is not there' => ['things.d', ['wall' => 7] + self::SOCKET, 'things.d.wall', 'whole number from 0 to 3'],
            'a traced corner that is no pair' => ['things.t', ['traced' => '0 x 0; 40'] + self::SOCKET, 'things.t.traced', 'Corner 2 was understood as “40”. Type how far across'],
            'two traced corners' => ['things.t', ['traced' => '0 x 0; 40 x 0'] + self::SOCKET, 'things.t.traced', 'There are 2 corners. It takes 3 to 40'],
            'traced sides that cross' => ['things.t', ['traced' => '0 x 0; 40 x 40; 40 x 0; 0 x 40'] + self::SOCKET, 'things.t.traced', 'The sides after corner 1 and after corner 3 cross'],
            'a trace larger than its thing' => ['things.t', ['traced' => '0 x 0; 90 x 0; 90 x 40'] + self::SOCKET, 'things.t.traced', 'it reaches 90 mm across, but socket measures 80 mm there'],
            'a diagonal to itself' => ['extras.x-1', ['to' => 0] + self::DIAGONAL, 'extras.x-1.to', 'two different corners'],
            'a diagonal to a neighbour' => ['extras.x-1', ['to' => 1] + self::DIAGONAL, 'extras.x-1.to', 'that is a side'],
            'a tie without a mark' => ['extras.x-1', ['kind' => 'tie', 'wall' => 1] + self::DIAGONAL, 'extras.x-1.along', 'its distance from the wall’s left end'],
            'a reading that cannot be skipped' => ['skipped', ['nothing'], 'skipped', '“nothing” is not one of'],
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_refused_at_its_field(string $path, mixed $value, string $field, string $sentence): void
    {
        try {
            self::apply(self::space(), $path, $value);
            self::fail('It was taken.');
        } catch (InvalidChoice $refused) {
            self::assertSame($field, $refused->path);
            self::assertStringContainsString($sentence, $refused->getMessage());
        }
    }

    public function test_ways_in_have_clear_sizes_and_a_turn_has_two_widths(): void
    {
        $entries = WayChoices::entries(LengthFormat::inches());
        $door = ['kind' => 'door', 'name' => 'Street door', 'width' => '31 1/2', 'height' => '78', 'second_width' => null];
        [$document] = $entries->apply(['ways_in' => []], new Edit('ways_in.w1', $door));
        self::assertSame(800_100_000, $document['ways_in'][0]['width']['nm']);
        $this->expectExceptionMessage('give the width after it too');
        $entries->apply($document, new Edit('ways_in.w2', ['kind' => 'turn'] + $door));
    }
}
