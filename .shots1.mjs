import { chromium } from '@playwright/test'
const base='http://127.0.0.1:8640'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on('pageerror',e=>console.log('ERR',e.message))
await page.goto(`${base}/sign-in`)
await page.getByRole('button', { name: 'Open the demo' }).click()
await page.locator('.job').first().waitFor()
for (const [n,u,w,h] of JSON.parse(process.argv[2])) {
  await page.setViewportSize({width:w,height:h})
  await page.goto(base+u,{waitUntil:'load'})
  await page.waitForTimeout(1500)
  await page.screenshot({path:`/tmp/shots/${n}.png`,fullPage:process.argv[3]==='full'})
}
await browser.close()
