// Keys of a tunnel are made here and their private half stays here: it goes into the profile on this page and nowhere else.
(() => {
  'use strict';
  /** @type {{secret: string, open: string} | null} */
  let pair = null;
  const base64 = (bytes) => btoa(String.fromCharCode(...new Uint8Array(bytes)));
  const says = document.querySelector('[data-key-says]');
  const field = document.getElementById('device_key');

  document.querySelector('[data-make-key]')?.addEventListener('click', async () => {
    try {
      const made = await crypto.subtle.generateKey({ name: 'X25519' }, true, ['deriveBits']);
      // RFC 8410 section 7: the 32 bytes of the key are the end of its PKCS #8 form.
      const secret = new Uint8Array(await crypto.subtle.exportKey('pkcs8', made.privateKey)).slice(-32);
      pair = { secret: base64(secret), open: base64(await crypto.subtle.exportKey('raw', made.publicKey)) };
      field.value = pair.open;
      says.textContent = 'Made. The profile that comes next holds its private half; save or scan it before this page is left.';
    } catch {
      says.textContent = 'This browser cannot make such a key here (it wants a current browser, and a page on this machine or with HTTPS). Make it on the device with “wg genkey”.';
    }
  });

  document.body.addEventListener('htmx:afterSwap', () => {
    const profile = document.querySelector('[data-profile]');
    const place = document.querySelector('[data-qr]');
    if (!profile || profile.dataset.done) {
      return;
    }
    profile.dataset.done = '1';
    const own = pair !== null && field.value === pair.open;
    if (own) {
      profile.textContent = profile.textContent.replace('[Interface]\n', `[Interface]\nPrivateKey = ${pair.secret}\n`);
      // A picture without the key would be a profile that opens nothing.
      const code = qrcode(0, 'M');
      code.addData(profile.textContent, 'Byte');
      code.make();
      place.innerHTML = code.createSvgTag({ cellSize: 4, margin: 16, scalable: true, alt: 'The profile as a QR code' });
    } else {
      place.textContent = 'No picture: the private key is on the device already, and goes into this profile there.';
    }
    pair = null;
    place.scrollIntoView({ block: 'center' });
    document.querySelector('[data-save-profile]')?.addEventListener('click', () => {
      const link = document.createElement('a');
      link.href = URL.createObjectURL(new Blob([profile.textContent], { type: 'text/plain' }));
      link.download = 'house.conf';
      link.click();
      URL.revokeObjectURL(link.href);
    });
  });
})();
