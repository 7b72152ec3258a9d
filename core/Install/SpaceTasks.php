<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Check\Carried;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\Terms;
use Incastro\Units\Assembly;

/**
 * The tasks of fitting day for one space, as they follow from what is built there; the order in which they are listed is the order of the job.
 */
final readonly class SpaceTasks
{
    /**
     * @param  list<Assembly>  $assemblies  of each run, and then of each surface
     * @param  list<Carried>  $carried
     * @param  array<int, WallStuds>  $studs  by wall
     * @param  array<string, array<string, float>>  $levels  how far the floor lies under the level line, mm, by the task of a plinth and the place
     */
    public function __construct(private string $space, private Terms $terms, private FittedLayout $layout, private array $assemblies, private array $carried, private array $studs, private FittingWishes $wishes, private array $levels = [])
    {
    }

    /** @return list<FittingTask> */
    public function all(): array
    {
        $walls = new WallTasks($this->space, $this->terms, $this->layout, $this->wishes);
        $order = new BoxOrder($this->layout, $this->wishes, $this->studs);
        $tasks = $walls->before();
        foreach ($this->layout->runs as $r => $run) {
            array_push($tasks, ...(new RunTasks($this->space, $this->terms, $this->layout, $run, $this->assemblies[$r], $this->carried, $this->studs[$run->frame->wall] ?? WallStuds::of([], [], $run->frame->length()), $order, $this->wishes, $this->levels))->all());
        }
        array_push($tasks, ...$walls->surfaces());
        array_push($tasks, ...(new FinishTasks($this->space, $this->terms, $this->assemblies, $this->wishes))->after($tasks));
        $table = array_flip(array_column(TaskKind::cases(), 'value'));
        usort($tasks, fn (FittingTask $one, FittingTask $other) => $table[$one->kind->value] <=> $table[$other->kind->value]);

        return $tasks;
    }
}
