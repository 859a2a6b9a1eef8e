<x-page title="Who may do what" place="stores">
    <x-slot:say><b>{{ $shares === [] && $exports !== [] ? (count($exports) === 1 ? 'One export' : count($exports) . ' exports') . ', ' . (count($callers) === 1 ? 'one who comes.' : count($callers) . ' who come.') : ($shares === [] ? 'What somebody can do with a share is the least of three: the login, the share, the folder.' : (count($shares) === 1 ? 'One share' : count($shares) . ' shares') . ', ' . (count($people) === 1 ? 'one account' : count($people) . ' accounts') . ' and guests.') }}</b>
        Nothing that is pasted here is kept.</x-slot:say>
    @if (! $findings->isEmpty())
        <div class="stack said">
            @foreach (array_slice($findings->list, 0, 12) as $finding)
                <x-finding :finding="$finding" />
            @endforeach
            @if (count($findings) > 12)
                <p class="soft">and {{ count($findings) - 12 }} more</p>
            @endif
        </div>
    @endif
    @if ($shares !== [])
        <div class="sheet scroll" id="matrix" tabindex="0" role="region" aria-label="Effective rights, may be scrolled">
            <table class="list rights">
                <thead><tr><th scope="col">Share</th>@foreach ($people as $name)<th scope="col">{{ $name }}</th>@endforeach<th scope="col">a guest</th></tr></thead>
                <tbody>
                    @foreach ($shares as $share)
                        <tr><th scope="row"><b>{{ $share->name }}</b> <span class="mono soft">{{ $share->path() }}</span></th>
                            @foreach ([...array_map(fn($name) => $rights->person($name), $people), $guest] as $person)
                                @php($right = $rights->of($share, $person))
                                <td class="{{ $right->writes ? 'w' : ($right->reads ? 'r' : 'n') }}"><b>{{ $right->words() }}</b> <span class="soft advice">{{ $right->because }}</span></td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
    @if ($exports !== [])
        <section class="sheet scroll" id="exports" tabindex="0" aria-labelledby="exports-title">
            <h2 id="exports-title">Exports: only numbers travel</h2>
            @if ($callers === [])
                <p>Who comes? Run <span class="mono">id</span> on the desk, as each who will work with it, and paste that, too.</p>
            @else
                <table class="list rights">
                    <thead><tr><th scope="col">Export</th>@foreach ($callers as $caller)<th scope="col">{{ $caller->name }} <span class="soft">there {{ $caller->user }}</span></th>@endforeach</tr></thead>
                    <tbody>
                        @foreach ($exports as $export)
                            <tr><th scope="row"><b class="mono">{{ $export->path }}</b> <span class="mono soft">{{ $export->client }}</span></th>
                                @foreach ($callers as $caller)
                                    @php($right = $export->lets($caller, $folders, $accounts))
                                    <td class="{{ $right->writes ? 'w' : ($right->reads ? 'r' : 'n') }}"><b>{{ $right->words() }}</b> <span class="soft advice">{{ $right->because }}</span></td>
                                @endforeach
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
        </section>
    @endif
    <section class="sheet" aria-labelledby="tell-title">
        <h2 id="tell-title">What the box tells</h2>
        <x-command id="tell-rights" text="testparm -s 2>/dev/null; getent group; testparm -s 2>/dev/null | sed -n 's/^[[:space:]]*path = //p' | xargs -d '\n' stat -c '%A %U %G %n'"><x-slot:where>on the box that shares</x-slot:where></x-command>
        <x-command id="tell-exports" text="sudo exportfs -v; getent passwd; sudo exportfs -v | grep -o '^/[^ ]*' | sort -u | xargs -d '\n' stat -c '%A %u %g %n'"><x-slot:where>on the box that exports to Unix machines, and <code>id</code> on those</x-slot:where></x-command>
        <form method="post" action="{{ route('rights.read') }}">
            @csrf
            <div class="field-set"><label for="pasted">Paste all of it</label><textarea class="in code" id="pasted" name="pasted" rows="8">{{ $pasted }}</textarea></div>
            <p class="hint">/etc/samba/smb.conf as it is works, too, and is looked over line by line.</p>
            <div class="row"><button class="act">Work it out</button> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></div>
        </form>
    </section>
    <section class="sheet" aria-labelledby="clients-title">
        <h2 id="clients-title">From the other side</h2>
        <ul class="plain-links">
            <li><b>A desk with Linux</b>: <span class="mono">smb://larder/store</span> in the file manager, or <span class="mono">sudo mount -t cifs //larder/store /mnt -o username=desk</span>. “Permission denied (13)”: name or password; “No such file (2)”: no share of that name.</li>
            <li><b>A desk with a menu bar at the top</b>: connect to a server, <span class="mono">smb://larder/store</span>; it asks for the account of the share, not for the one of the desk.</li>
            <li><b>A desk with drive letters</b>: <span class="mono">\\larder\store</span> as a network drive; if it will not take another account, it holds one open already: <span class="mono">net use * /delete</span>, then again.</li>
            <li><b>A phone</b>: a file program that speaks SMB 2 or later; by address if the name fails.</li>
            <li><b>A television</b>: mostly as a guest, or not at all; a media job is made for it.</li>
        </ul>
        <p>The password of a share is another one than that of the login: <span class="mono">sudo smbpasswd -a NAME</span>. When the name fails, the address works.</p>
    </section>
</x-page>
