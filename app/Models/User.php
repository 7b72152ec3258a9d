<?php

declare(strict_types=1);

namespace App\Models;

use App\Mail\Letter;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\DB;

/**
 * @property string $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property bool $is_demo
 * @property ?string $recovery_code  its hash
 */
final class User extends Authenticatable
{
    use HasUuids;

    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['is_demo' => false, 'remember_token' => null, 'recovery_code' => null];

    protected $hidden = ['password', 'remember_token', 'recovery_code'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'is_demo' => 'boolean'];
    }

    /** @return HasMany<Home, $this> */
    public function homes(): HasMany
    {
        return $this->hasMany(Home::class)->orderBy('created_at');
    }

    /** @return BelongsToMany<Job, $this> jobs of others that they let this person work on */
    public function helpsWith(): BelongsToMany
    {
        return $this->belongsToMany(Job::class, 'helpers');
    }

    /** Signs the person out everywhere, or everywhere but in one session. */
    public function endSessions(?string $but = null): void
    {
        DB::table('sessions')->where('user_id', $this->id)->when($but !== null, fn (Builder $query) => $query->where('id', '!=', $but))->delete();
    }

    public function sendPasswordResetNotification($token): void
    {
        Letter::passwordReset($this, $token)->sendTo($this->email);
    }
}
