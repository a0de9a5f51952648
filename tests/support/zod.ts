import '@/document/schema/zod'
