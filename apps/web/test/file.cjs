module.exports = 'file'
