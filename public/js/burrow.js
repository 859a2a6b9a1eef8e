// Keyboard, copying, countdowns and the theme switch. Every page works without this file; it only saves steps.
(() => {
  'use strict';

  const place = (letter) => document.querySelector(`.rail a[data-letter="${CSS.escape(letter)}"]`);
  const typing = (element) => element.closest('input, textarea, select, [contenteditable]') !== null;
  let afterG = 0;

  document.addEventListener('keydown', (event) => {
    const find = document.getElementById('find');
    if (event.key === 'Escape') {
      const found = document.getElementById('found');
      if (found && found.innerHTML !== '') {
        found.innerHTML = '';
      } else if (document.activeElement && typing(document.activeElement)) {
        document.activeElement.blur();
      }
      return;
    }
    if (['ArrowDown', 'ArrowUp'].includes(event.key) && event.target.closest('.find')) {
      const stops = [find, ...document.querySelectorAll('#found a')];
      const next = stops[stops.indexOf(document.activeElement) + (event.key === 'ArrowDown' ? 1 : -1)];
      if (next) {
        event.preventDefault();
        next.focus();
      }
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || document.querySelector('dialog[open]')) {
      return;
    }
    if (Date.now() - afterG < 1500 && place(event.key)) {
      afterG = 0;
      event.preventDefault();
      window.location.assign(place(event.key).href);
      return;
    }
    const doing = {
      '/': () => find && find.focus(),
      g: () => { afterG = Date.now(); },
      n: () => window.location.assign('/plan'),
      '?': () => document.getElementById('keys').showModal(),
      x: () => { const done = document.querySelector('[data-done]'); if (done) { done.click(); } },
      j: () => step(1),
      k: () => step(-1),
    }[event.key];
    if (doing) {
      event.preventDefault();
      doing();
      return;
    }
    // Where a page asks one thing, a digit is one of its answers.
    const answer = /^\d$/.test(event.key) ? document.querySelector(`[data-digit="${event.key}"]`) : null;
    if (answer) {
      event.preventDefault();
      answer.click();
    }
  });

  // j and k walk through whatever a page lists: steps, rows, findings.
  const step = (by) => {
    const stops = [...document.querySelectorAll('[data-stop]')];
    const at = stops.indexOf(document.activeElement);
    const next = stops[at === -1 ? (by > 0 ? 0 : stops.length - 1) : Math.min(stops.length - 1, Math.max(0, at + by))];
    if (next) {
      next.focus();
      next.scrollIntoView({ block: 'nearest' });
    }
  };

  document.addEventListener('click', (event) => {
    const copy = event.target.closest('[data-copy]');
    if (copy) {
      copyText(document.getElementById(copy.dataset.copy).textContent, copy);
    }
    if (event.target.closest('[data-print]')) {
      window.print();
    }
    if (event.target.closest('[data-close]')) {
      event.target.closest('dialog').close();
    }
    if (!event.target.closest('.find')) {
      const found = document.getElementById('found');
      if (found) { found.innerHTML = ''; }
    }
  });

  const copyText = async (text, button) => {
    const said = button.textContent;
    try {
      await navigator.clipboard.writeText(text);
      button.textContent = 'Copied';
    } catch {
      // Without the clipboard's permission the text is selected, so that the usual keys copy it.
      getSelection().selectAllChildren(document.getElementById(button.dataset.copy));
      button.textContent = 'Selected';
    }
    setTimeout(() => { button.textContent = said; }, 1600);
  };

  // What is typed as a secret can be looked at before it goes anywhere.
  const showable = (root) => root.querySelectorAll('input[type=password][data-show]').forEach((input) => {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'plain show';
    button.textContent = 'show';
    button.setAttribute('aria-label', 'Show what was typed: ' + document.querySelector('label[for="' + input.id + '"]').textContent);
    button.addEventListener('click', () => {
      input.type = input.type === 'password' ? 'text' : 'password';
      button.textContent = input.type === 'password' ? 'show' : 'hide';
      input.focus();
    });
    input.after(button);
  });
  showable(document);

  // An answer that came in place of the page: its fields are made ready, and the first that is wrong has the focus.
  document.addEventListener('htmx:afterSwap', (event) => {
    const main = event.target;
    if (main.id !== 'main') { return; }
    showable(main);
    main.tabIndex = -1;
    (main.querySelector('[aria-invalid=true]') || main).focus();
  });
  // Whatever else came back (a lost login, too much at once) is a page of its own, and is shown as one.
  ['htmx:responseError', 'htmx:sendError'].forEach((kind) => document.addEventListener(kind, (event) => {
    const form = event.detail.elt;
    if (form && form.matches('form[data-in-place]')) { form.submit(); }
  }));

  // Countdowns carry the moment they end and are worked out from it, so a reload changes nothing.
  const title = document.title;
  const rung = new Set();
  const two = (number) => String(number).padStart(2, '0');
  const clock = (seconds) => (seconds >= 3600 ? Math.floor(seconds / 3600) + ':' : '') + two(Math.floor(seconds / 60) % 60) + ':' + two(seconds % 60);
  const tick = () => {
    let soonest = null;
    for (const element of document.querySelectorAll('[data-ends]')) {
      const ends = Number(element.dataset.ends);
      const left = Math.ceil((ends - Date.now()) / 1000);
      element.textContent = left > 0 ? clock(left) : '+' + clock(-left);
      const label = element.parentElement.querySelector('[data-until]');
      if (label) { label.textContent = left > 0 ? label.dataset.until : label.dataset.past; }
      const ring = element.parentElement.querySelector('.ring-front');
      if (ring) {
        const share = Math.min(1, Math.max(0, 1 - (ends - Date.now()) / Number(element.dataset.length)));
        ring.setAttribute('stroke-dasharray', (share * 75.4).toFixed(1) + ' 75.4');
      }
      soonest = soonest === null ? left : Math.min(soonest, left);
      if (left <= 0 && !rung.has(ends)) {
        rung.add(ends);
        if (left > -3) { chime(); notify(); }
        document.querySelectorAll('[data-when-over]').forEach((over) => { over.hidden = false; });
      }
    }
    document.title = soonest === null ? title : (soonest > 0 ? clock(soonest) + ' · ' : 'Ready · ') + title;
  };
  const chime = () => {
    try {
      const sound = new AudioContext();
      const tone = sound.createOscillator();
      const volume = sound.createGain();
      tone.frequency.value = 528;
      volume.gain.setValueAtTime(0.08, sound.currentTime);
      volume.gain.exponentialRampToValueAtTime(0.0001, sound.currentTime + 0.9);
      tone.connect(volume).connect(sound.destination);
      tone.start();
      tone.stop(sound.currentTime + 0.9);
    } catch { /* no sound here; the title changes all the same */ }
  };
  // A notification of the browser's own, for whoever has asked for it once.
  const notify = () => {
    if ('Notification' in window && Notification.permission === 'granted') {
      new Notification(title, { body: 'The wait is over.', tag: 'wait' });
    }
  };
  document.querySelectorAll('[data-notify]').forEach((button) => {
    button.hidden = !('Notification' in window) || Notification.permission !== 'default';
    button.addEventListener('click', async () => {
      await Notification.requestPermission();
      button.hidden = Notification.permission !== 'default';
    });
  });
  setInterval(tick, 500);
  tick();

  // Papers that were opened stay readable while the house does not answer. Browsers allow it over https and on this machine.
  if ('serviceWorker' in navigator) {
    navigator.serviceWorker.register('/sw.js').catch(() => { /* not allowed here; nothing else needs it */ });
  }

  document.querySelectorAll('form[data-theme-switch]').forEach((form) => form.addEventListener('submit', (event) => {
    event.preventDefault();
    const root = document.documentElement;
    const dark = root.dataset.theme === 'den' || (!root.dataset.theme && matchMedia('(prefers-color-scheme: dark)').matches);
    root.dataset.theme = dark ? 'chalk' : 'den';
    document.cookie = 'theme=' + root.dataset.theme + ';path=/;max-age=31536000;samesite=lax';
  }));
})();
