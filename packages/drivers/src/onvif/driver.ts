import type { Rehearsal } from '@rauta/core'
import {
  announceDecider,
  busDevices,
  busKey,
  busLoan,
  busLoanAnswer,
  deleteUsers,
  deviceInformation,
  elements,
  el,
  externalAuthorization,
  hubKey,
  hubPlace,
  hubsSeen,
  networkInterface,
  networkProtocol,
  readNotifications,
  readUsers,
  rehearsal,
  type RehearsedState,
  setDeviceTime,
  setNetworkInterface,
  textOf,
  toDuration,
  usersRequest,
} from '@rauta/protocols'
import type { Abilities, Driver, SessionOptions } from '../driver'
import { DeviceError, hasCode } from '../errors'
import { readConfig, writePart } from './config'
import { pages } from './entity'
import { reasonNamed, toldEvents } from './events'
import { OnvifSession, understood } from './session'

const rehearsed: Readonly<Record<Rehearsal, RehearsedState>> = {
  free: 'Free',
  controlled: 'Controlled',
  barred: 'Barred',
  first: 'FreeAfterFirst',
}

const subscriptionSeconds = 60
const pullSeconds = 5
/** Accounts of one device. */
const mostAccounts = 200
/** Notifications of one answer that are looked at: a hundred are asked for. */
const mostAtOnce = 1000

/** A device that speaks ONVIF (device management, device I/O, access and door control, credential, rules, schedule, events). */
export function onvifDriver(options: SessionOptions): Driver & Abilities {
  const session = new OnvifSession(options)
  const count = async (service: 'tdc' | 'tcr' | 'tar' | 'tsc', list: string, element: string) => {
    let total = 0
    await pages(session, { service, list }, (page) => {
      const records = elements(page, element).length
      total += records
      return records
    })
    return total
  }
  const interfaceOf = async () => {
    const named = elements(await session.call('tds', el('tds:GetNetworkInterfaces')), 'NetworkInterfaces')
    const first = named.map(networkInterface.read)[0]
    if (!first) throw new DeviceError('malformed', 'The device names no network interface.')
    return first
  }
  return {
    time: () => session.time(),
    async identify() {
      const info = deviceInformation.read(await session.call('tds', el('tds:GetDeviceInformation')))
      const network = await interfaceOf()
      const hostname = textOf(await session.call('tds', el('tds:GetHostname')), 'HostnameInformation', 'Name')
      return {
        model: info.model,
        firmware: info.firmware,
        serial: info.serial,
        mac: network.mac,
        address: network.address,
        hostname,
      }
    },
    async holds() {
      return {
        doors: await count('tdc', 'GetDoorList', 'Door'),
        people: await count('tcr', 'GetCredentialList', 'Credential'),
        rules: await count('tar', 'GetAccessProfileList', 'AccessProfile'),
        schedules: await count('tsc', 'GetScheduleList', 'Schedule'),
      }
    },
    async secured() {
      const listens = await session.call('tds', el('tds:GetNetworkProtocols')).catch((error: unknown) => {
        if (hasCode(error, 'refused')) return null
        throw error
      })
      const offered = (listens ? elements(listens, 'NetworkProtocols') : [])
        .map(networkProtocol.read)
        .find((p) => p.name.toUpperCase() === 'HTTPS' && p.enabled && p.port > 0 && p.port < 65_536)
      if (!offered) return null
      const { dialer, address, signal } = options
      const fingerprint = await dialer.certificateOf(address, offered.port, session.patienceMs(), signal)
      return { port: offered.port, fingerprint }
    },
    async setSecret(password) {
      await session.call(
        'tds',
        usersRequest('SetUser', [{ username: options.secret?.user ?? '', password, level: 'Administrator' }]),
        { once: true },
      )
    },
    async accounts() {
      const users = readUsers(await session.call('tds', el('tds:GetUsers')))
      if (users.length > mostAccounts)
        throw new DeviceError(
          'malformed',
          `The device names ${users.length} accounts; ${mostAccounts} are read at most.`,
        )
      return users.map((u) => u.username)
    },
    async removeAccounts(names) {
      await session.call('tds', deleteUsers.write(names), { once: true })
    },
    async erase() {
      await session.call('tds', el('tds:SetSystemFactoryDefault', el('tds:FactoryDefault', 'Soft')), { once: true })
    },
    async setNetwork(wanted) {
      await session.call('tds', el('tds:SetHostname', el('tds:Name', wanted.hostname)))
      await session.call('tds', el('tds:SetNetworkDefaultGateway', el('tds:IPv4Address', wanted.gateway)))
      await session.call(
        'tds',
        el(
          'tds:SetNTP',
          el('tds:FromDHCP', false),
          el('tds:NTPManual', el('tt:Type', 'IPv4'), el('tt:IPv4Address', wanted.timeServer)),
        ),
      )
      await session.call('tds', setNetworkInterface('eth0', wanted.address, wanted.prefix), { once: true })
    },
    async network() {
      const { prefix } = await interfaceOf()
      const gateway = await session.call('tds', el('tds:GetNetworkDefaultGateway'))
      return { prefix, gateway: textOf(gateway, 'NetworkGateway', 'IPv4Address') }
    },
    async setClock({ zone, daylightSaving }) {
      const { roundTripMs } = await session.time()
      await session.call('tds', setDeviceTime({ utcMs: options.clock.now() + roundTripMs / 2, zone, daylightSaving }))
      await session.time()
    },
    async restart() {
      await session.call('tds', el('tds:SystemReboot'), { once: true })
    },
    read: () => readConfig(session),
    async glance() {
      const mark = textOf(await session.call('cx', el('cx:GetConfigurationMark')), 'Mark')
      if (!mark) throw new DeviceError('malformed', 'The device gives no mark of its configuration.')
      return mark
    },
    write: (operation) => writePart(session, operation),
    async rehearse(door, as, seconds) {
      await session.call(
        'cx',
        as ? rehearsal.write(door, rehearsed[as], seconds) : el('cx:EndRehearsal', el('cx:Token', door)),
      )
    },
    async forget(credentials) {
      for (const token of credentials)
        await session.call('tcr', el('tcr:ResetAntipassbackViolation', el('tcr:CredentialToken', token)))
    },
    async announce(door) {
      await session.call('cx', announceDecider.write(door))
    },
    async decide({ accessPoint, credential }, reason) {
      const granted = reason === ''
      const answer = { accessPoint, credential, granted, reason: granted ? '' : reasonNamed(reason) }
      await session.call('tac', externalAuthorization.write(answer), { once: true })
    },
    busDevices: async () => busDevices(await session.call('cx', el('cx:GetBusDevices'))),
    onBus: async (loan) => busLoanAnswer.read(await session.call('cx', busLoan.write(loan))),
    async setBusKey(port, address, key) {
      await session.call('cx', busKey.write(port, address, key))
    },
    hubs: async () => hubsSeen(await session.call('cx', el('cx:GetRadio'))),
    async setRadioKey(hub, key) {
      await session.call('cx', hubKey.write(hub, key))
    },
    async pairLock(hub, place) {
      await session.call(
        'cx',
        place === null ? hubPlace.write('EndPairing', hub) : hubPlace.write('PairLock', hub, place),
      )
    },
    async removeLock(hub, place) {
      await session.call('cx', hubPlace.write('RemoveLock', hub, place))
    },
    async blinkHub(hub) {
      await session.call('cx', hubPlace.write('BlinkHub', hub))
    },
    async order(door, order) {
      const tell = (operation: string) => session.call('tdc', el(`tdc:${operation}`, el('tdc:Token', door)))
      if (order === 'release') await tell('AccessDoor')
      else if (order === 'holdOpen') await tell('LockOpenDoor')
      else if (order === 'lock') await tell('LockDownDoor')
      else {
        const mode = textOf(await tell('GetDoorState'), 'DoorState', 'DoorMode')
        if (mode === 'LockedOpen') await tell('LockOpenReleaseDoor')
        if (mode === 'LockedDown') await tell('LockDownReleaseDoor')
      }
    },
    async watch() {
      const body = await session.call(
        'tev',
        el('tev:CreatePullPointSubscription', el('tev:InitialTerminationTime', toDuration(subscriptionSeconds))),
      )
      const address = new URL(textOf(body, 'SubscriptionReference', 'Address'))
      const path = `${address.pathname}${address.search}`
      await session.call('tev', el('tev:SetSynchronizationPoint'), { path })
      return {
        pull: async (points) => {
          const pull = el('tev:PullMessages', el('tev:Timeout', toDuration(pullSeconds)), el('tev:MessageLimit', 100))
          const answer = await session.call('tev', pull, { path, timeoutMs: (pullSeconds + 8) * 1000, once: true })
          const told = understood(() => readNotifications(answer))
          const pulled = toldEvents(told.slice(0, mostAtOnce), points)
          return told.length > mostAtOnce ? { ...pulled, leftOut: told.length - mostAtOnce } : pulled
        },
        renew: async () => {
          await session.call('tev', el('wsnt:Renew', el('wsnt:TerminationTime', toDuration(subscriptionSeconds))), {
            path,
          })
        },
        end: async () => {
          await session.call('tev', el('wsnt:Unsubscribe'), { path })
        },
      }
    },
  }
}
