import type { Notification } from '@rauta/protocols'

interface Subscription {
  id: string
  queue: Notification[]
  until: number
  wake: (() => void) | null
}

/** Pull-point subscriptions of one device (WS-BaseNotification, as ONVIF narrows it). */
export class PullPoints {
  private readonly open = new Map<string, Subscription>()
  private count = 0
  constructor(private readonly now: () => number) {}

  create(seconds: number): { id: string; until: number } {
    this.expire()
    const subscription: Subscription = {
      id: `p${++this.count}`,
      queue: [],
      until: this.now() + seconds * 1000,
      wake: null,
    }
    this.open.set(subscription.id, subscription)
    return subscription
  }
  renew(id: string, seconds: number): number | null {
    this.expire()
    const subscription = this.open.get(id)
    if (!subscription) return null
    subscription.until = this.now() + seconds * 1000
    return subscription.until
  }
  end(id: string): boolean {
    this.open.get(id)?.wake?.()
    return this.open.delete(id)
  }
  endAll(): void {
    for (const id of [...this.open.keys()]) this.end(id)
  }
  publish(notification: Notification, times = 1): void {
    for (const subscription of this.open.values()) {
      for (let i = 0; i < times; i++) subscription.queue.push(notification)
      subscription.wake?.()
    }
  }
  /** Events of one subscription; waits until there is one or `wait` has ended. Null where the subscription is gone. */
  async pull(
    id: string,
    limit: number,
    wait: (wake: (done: () => void) => void) => Promise<void>,
  ): Promise<Notification[] | null> {
    this.expire()
    const subscription = this.open.get(id)
    if (!subscription) return null
    if (subscription.queue.length === 0) {
      await wait((done) => {
        subscription.wake = done
      })
      subscription.wake = null
    }
    return this.open.has(id) ? subscription.queue.splice(0, limit) : null
  }
  push(id: string, notification: Notification): void {
    const subscription = this.open.get(id)
    subscription?.queue.push(notification)
    subscription?.wake?.()
  }
  private expire(): void {
    for (const [id, s] of this.open) if (s.until < this.now()) this.end(id)
  }
}
