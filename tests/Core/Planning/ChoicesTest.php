<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpaceChoices;
use Incastro\Rules\Edit;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Rule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChoicesTest extends TestCase
{
    /** @return list<array{string, mixed}> */
    public static function jobEdits(): array
    {
        return [
            ['name', 'Oar store'], ['measure', 'in/32'], ['skirting_stays', true], ['painted', false], ['currency', '£'],
            ['rules.kerf', '2.2'], ['rules.plinth_height', '80 mm'], ['materials.carcass.thickness', '17.6'], ['materials.back.name', 'Poplar 5'],
            ['stock.carcass-full.price', '71,50'], ['stock.carcass-full.quantity', '3'], ['stock.carcass-half', null],
            ['materials.ash', ['kind' => 'board', 'name' => 'Ash slat', 'thickness' => '19', 'width' => '89', 'cover' => null, 'density' => 650]], ['uses.drawer', 'carcass'], ['uses.front', 'frame'], ['uses.frame', null],
            ['materials.ogee', ['kind' => 'moulding', 'name' => 'Ogee 12 × 45', 'thickness' => '12', 'width' => '45', 'cover' => null, 'density' => 500, 'wood' => 'pine']], ['materials.carcass.wood', 'mdf'], ['materials.carcass.wood', null],
            ['articles.hinge.price', '7,20'], ['articles.hinge.price', ''], ['articles.slides-7.pack', '2'], ['articles.slides-7', null],
            ['articles.slides-heavy', ['article' => 'slides', 'length' => '500', 'load' => 100, 'pack' => 1, 'price' => null]],
            ['stock.odd', ['material' => 'back', 'name' => 'leftover', 'length' => '900', 'width' => '60 cm', 'price' => 0, 'quantity' => 1]],
        ];
    }

    #[DataProvider('jobEdits')]
    public function test_the_inverse_of_an_edit_brings_the_document_back(string $path, mixed $value): void
    {
        $before = JobChoices::defaults('Landing alcove', 'mm/1');
        [$after, $inverse] = JobChoices::apply($before, new Edit($path, $value));
        self::assertNotSame($before, $after);
        [$back, $again] = JobChoices::apply($after, $inverse);
        self::assertSame($before, $back);
        self::assertSame($after, JobChoices::apply($back, $again)[0]);
    }

    /** @return list<array{string, mixed, string}> */
    public static function refused(): array
    {
        return [
            ['name', '  ', 'Name of the job: It needs 1 to 80 letters.'],
            ['measure', 'in/10', 'is not one of'],
            ['rules.kerf', '12', '“12” was understood as 12 mm. It must be between 0 mm and 8 mm.'],
            ['rules.kerf', '1,203', 'Saw kerf: “1,203” could be'],
            ['rules.nothing', '1', 'is not a field of a job'],
            ['materials.carcass.thickness', '18 kg', '“kg” in “18 kg” is not known'],
            ['stock.carcass-full.price', 'much', '“much” is not a number'],
            ['stock.missing.price', '3', 'is not something in stock'],
            ['stock.new', ['name' => 'x'], 'Material: '],
            ['stock.back-full.width', null, 'A sheet has a width'],
            ['materials.ash', ['kind' => 'board', 'name' => 'Ash slat', 'thickness' => '19', 'density' => 650], 'has a width of its own'],
            ['materials.ogee', ['kind' => 'moulding', 'name' => 'Ogee', 'thickness' => '12', 'density' => 500], 'has a width of its own'],
            ['materials.carcass.wood', 'cheese', 'What it is: “cheese” is not one of birch-ply'],
            ['articles.hinge.price', '-1', 'Price of a pack: “-1” is not a number from 0'],
            ['articles.hinge.pack', 0, '“0” is not a whole number from 1'],
            ['articles.slides-7.length', null, 'Pair of drawer slides: it is chosen by its length'],
            ['articles.hinge.length', '50', 'Concealed hinge: it has no length to choose by'],
            ['articles.screw-1.load', '20', 'it is not chosen by what it carries'],
            ['articles.glue', ['article' => 'glue', 'pack' => 1], '“glue” is not one of pocket-screw'],
            ['materials.back', null, 'still used: backs, 2 in stock'],
            ['uses.carcass', null, 'Boxes and plinth must be made of something'],
            ['uses.front', 'glass', '“glass” is not one of carcass, frame, back, drawer'],
            ['uses.roof', 'back', '“roof” is not something that a material is for'],
        ];
    }

    #[DataProvider('refused')]
    public function test_a_bad_value_is_refused_with_its_field_and_nothing_changes(string $path, mixed $value, string $sentence): void
    {
        try {
            JobChoices::apply(JobChoices::defaults('Job', 'mm/1'), new Edit($path, $value));
            self::fail('It was taken.');
        } catch (InvalidChoice $refused) {
            self::assertStringContainsString($sentence, $refused->getMessage());
            self::assertStringStartsWith($path, $refused->path);
        }
    }

    public function test_a_space_is_edited_and_brought_back(): void
    {
        $format = LengthFormat::inches();
        $before = ['layout' => Recipe::oneBox('run', 'box')] + SpaceChoices::defaults('Alcove', $format);
        foreach ([['layout.runs.run.depth', '15 3/4'], ['layout.closings.left:box', 'trim'], ['layout.tiers.box.with.fixed', 2], ['sheet.level', '24'], ['sheet.middle', '40']] as [$path, $value]) {
            [$after, $inverse] = SpaceChoices::apply($before, new Edit($path, $value), $format, Length::ofMillimetres(18));
            self::assertNotSame($before, $after, $path);
            self::assertSame($before, SpaceChoices::apply($after, $inverse, $format, Length::ofMillimetres(18))[0], $path);
        }
        [$depth] = SpaceChoices::apply($before, new Edit('layout.runs.run.depth', '15 3/4'), $format, Length::ofMillimetres(18));
        // 15.75 · 25.4 = 400.05 mm
        self::assertSame(400_050_000, $depth['layout']['runs'][0]['depth']['nm']);
        self::assertNull(SpaceChoices::apply($depth, new Edit('layout.runs.run.depth', ''), $format, Length::ofMillimetres(18))[0]['layout']['runs'][0]['depth']);
    }

    public function test_a_new_job_can_buy_whatever_is_usual_in_its_unit(): void
    {
        foreach (['mm/1', 'in/16', 'ft/16'] as $measure) {
            $job = JobReader::read(JobChoices::defaults('Job', $measure) + ['spaces' => [], 'ways_in' => []]);
            foreach (ArticleKind::cases() as $kind) {
                foreach ($kind->lengths($job->format->unit) ?: [null] as $length) {
                    self::assertNotSame([], $job->materials->serving($kind, $length, null), "$measure: $kind->value");
                }
            }
        }
        // A job from before names nothing and gets the same.
        $old = array_diff_key(JobChoices::defaults('Job', 'in/16'), ['articles' => 1, 'tools' => 1]);
        self::assertEquals(JobChoices::defaults('Job', 'in/16'), $old + JobChoices::since($old));
    }

    public function test_inches_bring_the_defaults_of_an_inch_workshop(): void
    {
        $job = JobReader::read(JobChoices::defaults('Job', 'in/16') + ['spaces' => [], 'ways_in' => []]);
        self::assertSame('1/8 in', $job->format->write($job->rules->get(Rule::SideAllowance)));
        self::assertSame('2 3/4 in', $job->format->write($job->rules->get(Rule::PlinthHeight)));
        self::assertSame('23/32 in', LengthFormat::inches(32)->write($job->materials->carcass->thickness));
        foreach (Rule::cases() as $rule) {
            foreach ([$rule->default(\Incastro\Measure\Unit::Inch), $rule->default(\Incastro\Measure\Unit::Millimetre)] as $default) {
                self::assertFalse($default->isLessThan($rule->least()) || $default->isGreaterThan($rule->most()), $rule->value);
            }
        }
    }
}
