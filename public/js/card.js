// A card's files: written into an opened folder, dropped on a field, and what was typed kept for this tab. Every page works without this file.
(() => {
  'use strict';

  const ready = () => {
    // Where the browser can write into a folder that the person opens, the files go straight onto the card.
    const writer = document.querySelector('[data-write-card]');
    if (writer && window.showDirectoryPicker) {
      writer.hidden = false;
      writer.addEventListener('click', async () => {
        const told = document.querySelector('[data-card-told]');
        try {
          const folder = await window.showDirectoryPicker({ mode: 'readwrite' });
          const names = [];
          for (const part of document.querySelectorAll('[data-card-file]')) {
            const file = await folder.getFileHandle(part.dataset.cardFile, { create: true });
            const out = await file.createWritable();
            const bytes = Uint8Array.from(atob(part.querySelector('a[download]').href.split(',')[1] || ''), (one) => one.charCodeAt(0));
            await out.write(bytes);
            await out.close();
            names.push(part.dataset.cardFile);
          }
          told.textContent = 'Written into “' + folder.name + '”: ' + names.join(', ') + '. Eject it before you pull the card.';
        } catch (problem) {
          told.textContent = problem.name === 'AbortError' ? 'No folder was opened; nothing was written.' : 'Could not write there: ' + problem.message;
        }
        told.hidden = false;
      });
    }

    // Files dropped on a drop field are as good as chosen ones, and so is a folder: of a card's folder only what is small
    // and lies at its top is sent, since kernels are large and not looked at.
    const SMALL = 256 * 1024;
    const take = (input, files) => {
      const kept = new DataTransfer();
      files.slice(0, 60).forEach((file) => kept.items.add(file));
      input.files = kept.files;
    };
    document.querySelectorAll('[data-small]').forEach((input) => input.addEventListener('change', () => {
      const top = [...input.files].filter((file) => file.size <= SMALL && (file.webkitRelativePath || '').split('/').length <= 2);
      if (top.length !== input.files.length) { take(input, top); }
    }));
    const inFolder = (folder) => new Promise((done) => {
      const found = [];
      const reader = folder.createReader();
      const more = () => reader.readEntries(async (entries) => {
        if (entries.length === 0) { done(found); return; }
        for (const entry of entries.filter((one) => one.isFile)) {
          found.push(await new Promise((read) => entry.file(read)));
        }
        more();
      }, () => done(found));
      more();
    });
    document.querySelectorAll('[data-drop]').forEach((field) => {
      const input = field.querySelector('input[type=file]');
      ['dragover', 'dragleave', 'drop'].forEach((kind) => field.addEventListener(kind, async (event) => {
        event.preventDefault();
        field.classList.toggle('over', kind === 'dragover');
        if (kind === 'drop') {
          const folders = [...event.dataTransfer.items].map((item) => item.webkitGetAsEntry && item.webkitGetAsEntry()).filter((entry) => entry && entry.isDirectory);
          const files = [...event.dataTransfer.files];
          take(input, folders.length === 0 ? files : (await Promise.all(folders.map(inFolder))).flat().filter((file) => file.size <= SMALL));
        }
      }));
    });

    // What was typed for a card and is no secret outlives a look at another page, in this tab only.
    document.querySelectorAll('form[data-keep]').forEach((form) => {
      const fields = () => [...form.elements].filter((one) => one.name && !['password', 'hidden', 'submit', 'button'].includes(one.type) && !one.closest('[data-secret]'));
      const kept = JSON.parse(sessionStorage.getItem(form.dataset.keep) || 'null');
      if (kept && form.dataset.fresh !== undefined) {
        fields().forEach((one) => {
          const value = kept[one.name + (one.type === 'checkbox' ? '=' + one.value : '')];
          if (value === undefined) { return; }
          if (one.type === 'checkbox') { one.checked = value; } else { one.value = value; }
          if (value !== '' && value !== false) { for (let around = one.closest('details'); around; around = around.parentElement.closest('details')) { around.open = true; } }
        });
      }
      form.addEventListener('input', () => {
        const now = {};
        fields().filter((one) => !/PRIVATE KEY/.test(one.value)).forEach((one) => { now[one.name + (one.type === 'checkbox' ? '=' + one.value : '')] = one.type === 'checkbox' ? one.checked : one.value; });
        sessionStorage.setItem(form.dataset.keep, JSON.stringify(now));
      });
    });
  };
  ready();
  // An answer in place of the page brings its fields anew.
  document.addEventListener('htmx:afterSwap', (event) => { if (event.target.id === 'main') { ready(); } });
})();
