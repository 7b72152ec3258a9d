{!! $said !!}
@if ($link)

{!! $link !!}
@endif

{!! $otherwise !!}

Incastro
