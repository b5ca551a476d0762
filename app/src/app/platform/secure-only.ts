/** What a browser has at a secure address alone (https, or loopback), and not all browsers there. */
export interface SecureOnly {
  readonly clipboard?: Partial<Clipboard>;
  readonly locks?: LockManager;
  readonly serviceWorker?: ServiceWorkerContainer;
  readonly share?: Navigator['share'];
  readonly storage?: Partial<StorageManager>;
  readonly wakeLock?: WakeLock;
}

/** The one place where these are asked for: at a plain http address each is missing. A lint rule holds that. */
export const secureOnly = (): SecureOnly => navigator;
