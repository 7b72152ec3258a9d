<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\Wood;
use Incastro\Rules\WayOut;
use Incastro\Strength\Guard;
use Incastro\Units\Assembly;
use Incastro\Units\BedGuard;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Rails along the open side of a bed, on the inside of posts that are bolted to its front rail, so that a push presses them on. No gap
 * holds a head: they are 60 to 75 mm, or 25 at most (local standards go first). Its top stands over the mattress as the rules say.
 */
final readonly class GuardRail
{
    /** Gaps that neither a body passes nor a limb is caught in, mm. */
    private const FREE = [60.0, 75.0];

    private const NARROW = 25.0;

    /** Between posts, however strong the rails, mm and inches. */
    private const APART = [1350.0, 53.0];

    public function __construct(private BedSizes $sizes, private BedGuard $guard, private float $entry)
    {
    }

    public function build(): Assembly
    {
        $s = $this->sizes;
        $terms = $s->site->terms;
        $wide = $s->lh;
        $high = $this->high();
        [$count, $inBand] = $this->rails($high->result->toDouble(), $wide->toDouble());
        $gap = $this->gap($count);
        $lowest = $this->lowest()->toDouble();
        $long = $s->long()->minus('way in', Length::ofDouble($this->entry))->roundedDown($terms->format);
        $field = min($terms->rules->either(...self::APART)->toDouble(), Guard::longestField($wide->toDouble(), $s->lw, ($s->rail->wood ?? Wood::Pine)->strength()->bendingAlong));
        $posts = max(2, (int) ceil(($long->result->toDouble() - $s->lw) / $field - 1e-9) + 1);
        $start = $this->guard === BedGuard::EntryLeft ? $s->pu - $long->result->toDouble() : 0.0;
        $cell = $s->site->cell;
        $put = fn (string $role, string $name, Working $length, float $x, float $y, float $z, Way $l, Way $w, Way $t) => new Placed($s->site->make->inner($role, $name, $length, Working::start('as it is bought', $wide), Purpose::Rail, Grain::Length, [new Finished('all edges', Finish::Eased)], ['no gap that holds a head']), Pose::at($s->from() + $x, $s->back + $y, $z, $l, $w, $t), Part::Body, $cell->tier->id);
        $up = $high->plus('slat', $s->slat->thickness)->plus('front rail', $s->lh);
        $standing = $lying = $joints = [];
        for ($i = 0; $i < $posts; $i++) {
            $standing[] = $put('guard-post-'.($i + 1), 'Guard post', $up, $start + $i * ($long->result->toDouble() - $s->lw) / ($posts - 1), $s->pv, $s->zl, Way::Up, Way::Out, Way::Right);
        }
        for ($i = 0; $i < $count; $i++) {
            $lying[] = $rail = $put('guard-rail-'.($i + 1), 'Guard rail', $long, $start, $s->pv - $s->lw, $s->deck + $lowest + $i * ($wide->toDouble() + $gap->result->toDouble()), Way::Right, Way::Up, Way::Out);
            foreach ($standing as $post) {
                $joints[] = new Joint($rail->piece->key, $post->piece->key, JointKind::Screws, 'guard rails to their posts');
            }
        }
        $tier = $cell->tier->id;
        $findings = $inBand ? [] : [Finding::note(Code::GuardGap, sprintf('The gaps of the guard are %s; 60 to 75 mm, or 25 at most, neither pass a body nor catch a limb. Choose a thicker or thinner mattress, or a higher guard; local standards go first.', $terms->format->write($gap->result)), $tier)];
        if (Guard::postStress($high->result->toDouble() + $s->ts + $s->lh->toDouble() / 2, $s->lw, $wide->toDouble()) > ($s->rail->wood ?? Wood::Pine)->strength()->bendingAlong) {
            $findings[] = Finding::clash(Code::GuardWeak, 'Somebody who leans on this guard breaks its posts: they are too slender, or it is too high.', $tier)->withWaysOut([new WayOut('No guard', Edits::tier($tier)->setting(['guard' => BedGuard::None->value]))]);
        }

        return new Assembly([...$standing, ...$lying], $joints, [
            new Hardware('bolt M8 with nut and two washers of 40 mm', 2 * $posts, 'guard posts to the front rail', ArticleKind::Connector),
        ], ['Gap between guard rails' => $gap], $findings);
    }

    /** Under the lowest rail: what the gaps between leave over. */
    public function lowest(): Length
    {
        [$count] = $this->rails($this->high()->result->toDouble(), $this->sizes->lh->toDouble());

        return $this->high()->minusTimes('rails', $count, $this->sizes->lh)->minusTimes('gaps between them', $count - 1, $this->gap($count)->result)->result;
    }

    /** Over the deck. */
    private function high(): Working
    {
        return Working::start('mattress', $this->sizes->bed->thickness)->plus('guard over it', $this->sizes->bed->over);
    }

    private function gap(int $count): Working
    {
        return $this->high()->minusTimes('rails', $count, $this->sizes->lh)->dividedBy('gaps, one of them under the lowest', $count)->roundedDown($this->sizes->site->terms->format);
    }

    /** @return array{int, bool} how many, and whether their gaps are good */
    private function rails(float $high, float $wide): array
    {
        $first = max(1, (int) ceil($high / ($wide + self::FREE[1]) - 1e-9));
        for ($count = $first; $count * $wide < $high; $count++) {
            $gap = ($high - $count * $wide) / $count;
            if (($gap >= self::FREE[0] && $gap <= self::FREE[1]) || $gap <= self::NARROW) {
                return [$count, true];
            }
        }

        return [$first, false];
    }
}
