<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Incastro\Log\FitKind;
use Incastro\Log\JobRecord;
use Incastro\Log\Lesson;
use Incastro\Log\Lessons;
use Incastro\Log\ProblemKind;
use Incastro\Measure\LengthFormat;
use Incastro\Saw\GuidedSaw;
use Incastro\Saw\MitreSaw;
use Incastro\Saw\TableSaw;
use Incastro\Saw\Tools;
use Incastro\Saw\Way;
use Incastro\Saw\Yard;
use PHPUnit\Framework\TestCase;

/** What the log teaches, from what it holds; each example with its sum. */
final class LessonsTest extends TestCase
{
    private const RULES = ['kerf' => 2.2, 'allowance' => 3.0, 'reserve' => 5.0, 'notch' => 3.0, 'reveal' => 2.5, 'lost' => 10];

    /** @param array<string, mixed> $holds */
    private static function job(array $holds): JobRecord
    {
        return new JobRecord(...$holds + ['job' => 'j', 'rules' => self::RULES]);
    }

    /** @return array<string, Lesson> by what they are about */
    private static function told(JobRecord ...$jobs): array
    {
        return self::toldBy(new Tools(null, null, null), ...$jobs);
    }

    /** @return array<string, Lesson> by what they are about */
    private static function toldBy(Tools $tools, JobRecord ...$jobs): array
    {
        return array_column((new Lessons(array_values($jobs) ?: throw new \LogicException('Without jobs nothing is told.'), LengthFormat::millimetres(), $tools))->all(), null, 'about');
    }

    /**
     * @param  list<float>  $deltas
     * @return list<array{way: string, delta: float, setOff: float, box: string, fixesWidth: bool}>
     */
    private static function cut(array $deltas, bool $fixesWidth = false, float $setOff = 0.0, Way $way = Way::Fence): array
    {
        return array_map(fn (float $delta): array => ['way' => $way->value, 'delta' => $delta, 'setOff' => $setOff, 'box' => '', 'fixesWidth' => $fixesWidth], $deltas);
    }

    public function test_a_saw_that_is_off_is_told_with_its_evidence(): void
    {
        $told = self::told(self::job(['cut' => self::cut([0.5, 1.0, 0.5, 1.0, 1.0, 0.5, 1.5, 1.0, 0.5, 1.0, 0.5, 1.0])]));
        self::assertSame(['saw:fence'], array_keys($told));
        self::assertSame('Pieces from the fence come out 0.8 mm long', $told['saw:fence']->title);
        self::assertSame(['12 pieces measured: +0.8 mm on average, give or take 0.2 mm.'], $told['saw:fence']->evidence);
        // Seven pieces tell nothing.
        self::assertSame([], self::told(self::job(['cut' => self::cut(array_fill(0, 7, 1.0))])));
    }

    public function test_a_saw_that_is_off_is_set_otherwise_from_now_on(): void
    {
        $table = fn (float $mm): Tools => new Tools(new TableSaw(3_200_000, 610_000_000, 20.0, 35.0, 300_000_000, null, 0, 75_000_000, true, correction: (int) (1e6 * $mm)), new GuidedSaw(2_200_000, [1_400_000_000], 150_000_000, 92_000_000, 36_000_000, 55_000_000), null);
        $deltas = [0.5, 1.0, 0.5, 1.0, 1.0, 0.5, 1.5, 1.0, 0.5, 1.0, 0.5, 1.0];
        $long = self::toldBy($table(0.0), self::job(['cut' => self::cut($deltas)]))['saw:fence'];
        // Mean 10/12 = 0.83 long: set 0.8 less.
        self::assertSame(['saws.table_saw.correction', -800_000], [$long->habit, $long->value['nm'] ?? null]);
        self::assertStringContainsString('as its scale is off: −0.8 mm instead of +0 mm', $long->suggestion);
        // Set so, the same pieces would have come out right: nothing more is told, nor of pieces that were cut with it and came out right.
        self::assertSame([], self::toldBy($table(-0.8), self::job(['cut' => self::cut($deltas)])));
        self::assertSame([], self::toldBy($table(-0.8), self::job(['cut' => self::cut($deltas)]), self::job(['cut' => self::cut(array_map(fn (float $one): float => $one - 0.8, $deltas), setOff: -0.8)])));
        // A guide on the piece has its edge at size − 92: pieces 0.5 long each want it at size − 92.5; on the waste at size + kerf + 35.5.
        $half = array_fill(0, 8, 0.5);
        $guide = self::toldBy($table(0.0), self::job(['cut' => [...self::cut($half, setOff: -92.0, way: Way::GuideOnPiece), ...self::cut($half, setOff: 36.0, way: Way::GuideOnWaste)]]));
        self::assertSame(['saws.guided_saw.offset' => 92_500_000, 'saws.guided_saw.offset_waste' => 35_500_000], array_column(array_map(fn (Lesson $one): array => [(string) $one->habit, $one->value['nm'] ?? null], $guide), 1, 0));
        // The stop of a sled has no figure: it is only said.
        self::assertNull(self::toldBy($table(0.0), self::job(['cut' => self::cut($half, way: Way::Sled)]))['saw:sled']->habit);
    }

    public function test_a_yard_that_is_further_off_than_it_promises_is_believed_less(): void
    {
        $tools = new Tools(null, null, new MitreSaw(3_200_000, 300_000_000, 90_000_000, 2_400_000_000, 150_000_000), 1, Yard::usual());
        // Twenty parts: 19 of them, 95 in a hundred, within 3.2, up to the millimetre 4; 5 on top become 5 + (4 − 2) = 7.
        $yard = self::toldBy($tools, self::job(['yard' => [...array_fill(0, 18, 1.0), -3.2, 6.0]]))['yard'];
        self::assertSame(['saws.yard', 4_000_000, 7_000_000], [$yard->habit, $yard->value['tolerance']['nm'] ?? null, $yard->value['oversize']['nm'] ?? null]);
        self::assertSame([], self::toldBy($tools, self::job(['yard' => [2.0, -2.0, 1.0, 0.0, 1.5]])), 'It keeps its word.');
        self::assertSame([], self::toldBy($tools, self::job(['yard' => [3.0, 3.0, 3.0, 3.0]])), 'Four parts are not five.');
    }

    public function test_what_was_paid_last_is_the_price_of_new_jobs(): void
    {
        $paid = fn (int $paid, ?float $price = 80.0): array => ['line' => 'sheet:ply', 'what' => 'Plywood', 'paid' => $paid, 'listed' => 24_000, 'price' => $price];
        // Three sheets at 80 listed, 264.00 paid: 88 each, 10 % more. The newest payment counts.
        $told = self::told(self::job(['paid' => [$paid(30_000)]]), self::job(['paid' => [$paid(26_400)]]))['price:sheet:ply'];
        self::assertSame(['prices.sheet:ply', 88.0, 2], [$told->habit, $told->value, $told->count]);
        self::assertSame([], self::told(self::job(['paid' => [$paid(25_200)]])), '5 % are the same price.');
        self::assertNull(self::told(self::job(['paid' => [$paid(12_000, null)]]))['price:sheet:ply']->habit, 'What is bought by the piece is only said.');
    }

    public function test_screws_that_run_out_or_are_left_change_the_spare(): void
    {
        $counted = fn (int $needed): array => ['use' => 100, 'spare' => 10, 'needed' => $needed];
        // 260 used up of 220: 40 are more than a tenth of 220. 260/200 = 1.3: spare 30 %.
        $short = self::told(self::job(['counted' => [$counted(125), $counted(135)]]))['spare'];
        self::assertSame(['buying.lost', 30], [$short->habit, $short->value]);
        // 204 used up of 220: 16 left are more than 40 % of the 20 on top. 204/200: up to 5 %.
        self::assertSame(5, self::told(self::job(['counted' => [$counted(102), $counted(102)]]))['spare']->value);
        self::assertSame([], self::told(self::job(['counted' => [$counted(108), $counted(107)]])), 'Five of twenty left is as it should be.');
        self::assertSame([], self::told(self::job(['counted' => [$counted(200)]])), 'One count tells nothing.');
    }

    public function test_slips_that_come_again_get_a_word(): void
    {
        $slip = self::told(self::job(['slips' => ['10 mm too long', '10 mm too long', '2321 for 2312: digits swapped']]), self::job(['slips' => ['10 mm too long', '612 for 621: digits swapped', '78 for 87: digits swapped']]));
        self::assertSame(['slip:10 mm too long', 'slip:digits swapped'], array_keys($slip));
        self::assertStringContainsString('start late', $slip['slip:10 mm too long']->suggestion);
        self::assertNull($slip['slip:digits swapped']->habit);
    }

    public function test_boxes_that_jam_ask_for_more_room(): void
    {
        $jammed = fn (float $by): array => ['box' => "b$by", 'how' => FitKind::Jammed, 'by' => $by];
        $fits = [$jammed(2.0), $jammed(1.5), $jammed(2.0)];
        // Boards within 0.3: nothing explains it; 2.0/2 = 1 each side: 3 becomes 4.
        $told = self::told(self::job(['fits' => $fits, 'cut' => self::cut([0.3, -0.3], true)]));
        self::assertSame(['jams'], array_keys($told));
        self::assertSame(['rules.side_allowance', ['nm' => 4_000_000, 'typed' => '4 mm']], [$told['jams']->habit, $told['jams']->value]);
        self::assertStringContainsString('4 mm each side instead of 3 mm', $told['jams']->suggestion);
        // Each board 1.0 too long, and sides 0.5 thicker: 1.0 + 2·0.5 = 2.0 explains all; the saw and the thickness are told.
        $thick = array_fill(0, 3, ['material' => 'ply', 'name' => 'Plywood', 'usual' => 18.1, 'measured' => 18.6]);
        $explained = self::told(self::job(['fits' => $fits, 'cut' => self::cut(array_fill(0, 12, 1.0), true), 'thickness' => $thick]));
        self::assertSame(['saw:fence', 'thickness:ply'], array_keys($explained));
        // Two are not three.
        self::assertSame([], self::told(self::job(['fits' => array_slice($fits, 0, 2)])));
    }

    public function test_boxes_with_room_to_spare_ask_for_less_where_none_jams(): void
    {
        $loose = array_fill(0, 3, ['box' => 'b', 'how' => FitKind::Loose, 'by' => 7.0]);
        $rules = ['allowance' => 8.0] + self::RULES;
        // 8 − 7/2 = 4.5, up to the next whole millimetre: 5; never under 2.
        self::assertSame(5_000_000, self::told(self::job(['fits' => $loose, 'rules' => $rules]))['loose']->value['nm'] ?? null);
        self::assertSame(2_000_000, self::told(self::job(['fits' => $loose]))['loose']->value['nm'] ?? null);
        $one = ['box' => 'c', 'how' => FitKind::Jammed, 'by' => 1.0];
        self::assertSame([], self::told(self::job(['fits' => [...$loose, $one]])));
    }

    public function test_strips_tell_the_kerf(): void
    {
        // 2428 − 2246 = 182 should remain; with four cuts 172.0, 171.5, 172.5 do: 2.5, 2.625, 2.375.
        $strips = array_map(fn (float $rest): array => ['rest' => 182.0, 'measured' => $rest, 'cuts' => 4], [172.0, 171.5, 172.5]);
        $kerf = self::told(self::job(['strips' => $strips]))['kerf'];
        self::assertSame(['rules.kerf', 2_500_000], [$kerf->habit, $kerf->value['nm'] ?? null]);
        self::assertSame([], self::told(self::job(['strips' => array_slice($strips, 0, 2)])));
    }

    public function test_callipers_tell_the_thickness(): void
    {
        $sheets = array_map(fn (float $mm): array => ['material' => 'ply', 'name' => 'Plywood', 'usual' => 18.1, 'measured' => $mm], [17.6, 17.7, 17.6]);
        // 52.9/3 = 17.63, 0.47 off: 17.6.
        $told = self::told(self::job(['thickness' => $sheets]))['thickness:ply'];
        self::assertSame(['Plywood is 17.6 mm thick, not 18.1 mm', 'thickness.ply', 17_600_000], [$told->title, $told->habit, $told->value['nm'] ?? null]);
    }

    public function test_what_goes_wrong_twice_asks_for_its_rule(): void
    {
        $told = self::told(self::job(['problems' => [ProblemKind::ScribeShort, ProblemKind::ScribeShort, ProblemKind::NotchTwice]]), self::job(['problems' => [ProblemKind::NotchTwice, ProblemKind::DoorRubs, ProblemKind::DoorRubs, ProblemKind::Missing, ProblemKind::Missing]]));
        // Reserve 5 + 3, play 3 + 2, reveal 2.5 + 0.5.
        self::assertSame(['scribe-short' => 8_000_000, 'notch-twice' => 5_000_000, 'door-rubs' => 3_000_000], array_map(fn (Lesson $one) => $one->value['nm'] ?? null, $told));
    }

    public function test_what_is_tacky_twice_dries_slower_and_what_takes_longer_is_told(): void
    {
        $told = self::told(self::job(['tacky' => ['filler', 'filler', 'caulk'], 'minutes' => [['estimate' => 60.0, 'actual' => 85.0], ['estimate' => 40.0, 'actual' => 55.0], ['estimate' => 40.0, 'actual' => 50.0], ['estimate' => 30.0, 'actual' => 45.0], ['estimate' => 20.0, 'actual' => 30.0]]]));
        self::assertSame(['drying:filler', 'pace'], array_keys($told));
        self::assertSame(['hours.filler', 2.5, 1.24], [$told['drying:filler']->habit, $told['drying:filler']->value, $told['pace']->value]);
    }

    public function test_an_empty_log_teaches_nothing(): void
    {
        self::assertSame([], self::told(self::job([])));
    }
}
