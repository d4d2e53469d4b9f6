export { InviteScreen as default } from '../../features/shop/InviteScreen'
