import { chromium } from '@playwright/test'
const base = process.env.BASE ?? 'http://127.0.0.1:8640'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] })
const names = process.argv.slice(2)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on('console', m => { if (m.type()==='error'||m.type()==='warning') console.log('console:', m.text().slice(0,300)) })
page.on('pageerror', e => console.log('pageerror', e.message))
await page.goto(base + '/sign-in')
if (names.includes('signin')) { await page.waitForTimeout(500); await page.screenshot({ path: '/tmp/shots/signin.png' }) }
await page.getByRole('button', { name: 'Open the demo' }).click()
await page.waitForURL(base + '/')
await page.waitForSelector('.job'); await page.waitForTimeout(400)
if (names.includes('jobs')) await page.screenshot({ path: '/tmp/shots/jobs.png' })
await page.locator('.job a').first().click()
await page.waitForSelector('.tape'); await page.waitForTimeout(500)
const url = page.url().replace(/measure$/, '')
for (const s of ['measure','fit','pieces','sheets']) if (names.includes(s)) { await page.goto(url + s); await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/shots/${s}.png` }) }
for (const s of ['measure','fit','pieces','sheets']) if (names.includes('dark-'+s)) { await page.evaluate(()=>localStorage.setItem('incastro.theme','dark')); await page.goto(url + s); await page.waitForTimeout(900); await page.screenshot({ path: `/tmp/shots/dark-${s}.png` }) }
if (names.includes('phone')) { await page.setViewportSize({width:390,height:844}); await page.goto(url+'measure'); await page.waitForTimeout(900); await page.screenshot({ path: '/tmp/shots/phone.png' }) }
if (names.includes('phonefit')) { await page.setViewportSize({width:390,height:844}); await page.goto(url+'fit'); await page.waitForTimeout(900); await page.screenshot({ path: '/tmp/shots/phonefit.png' }) }
if (names.includes('rules')) { await page.goto(url+'measure'); await page.locator('.name').click(); await page.waitForTimeout(700); await page.screenshot({ path: '/tmp/shots/rules.png' }) }
if (names.includes('scribe')) { await page.goto(url+'fit'); await page.getByRole('button',{name:/Scribe line: Left/}).click(); await page.waitForTimeout(700); await page.screenshot({ path: '/tmp/shots/scribe.png' }) }
await browser.close()
