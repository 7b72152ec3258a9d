<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Home;
use App\Models\Job;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A job is its owner's, and those whom the owner invited work on it too; for everybody else it does not exist. */
final class JobPolicy
{
    public function work(User $user, Job $job): Response
    {
        return self::mayWork($user, $job->home, $job->id);
    }

    public function own(User $user, Job $job): Response
    {
        return (new HomePolicy())->own($user, $job->home);
    }

    public static function mayWork(User $user, Home $home, string $job): Response
    {
        return $home->user_id === $user->id || $user->helpsWith()->where('jobs.id', $job)->exists() ? Response::allow() : Response::denyAsNotFound();
    }
}
