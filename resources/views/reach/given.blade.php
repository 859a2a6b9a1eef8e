<div id="given" aria-live="polite">
    @if ($wrong !== null)
        <p class="slim">@mark('stop') {{ $wrong }}</p>
    @elseif ($profile === null)
        <p class="slim">@mark('warn') {{ $device }} is in, but the endpoint has no public key in the record yet; type it under “The house from outside”, then fetch the profile.</p>
    @else
        <h3>Profile of {{ $device }}</h3>
        <p>Its private key was made in this browser and is nowhere else. Scan the picture with the device, or save the file now: when this page is left, it is gone.</p>
        <div class="profile">
            <div class="qr" data-qr></div>
            <pre id="profile" tabindex="0" data-profile>{{ $profile }}</pre>
        </div>
        <div class="row"><button type="button" class="ghost" data-save-profile="{{ $device }}">Save as a file</button></div>
        <p>Load the <a href="{{ route('reach.endpoint') }}">new endpoint file</a> on the box, so that it knows the device.</p>
    @endif
</div>
