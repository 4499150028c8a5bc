<template><h1>Shelf</h1></template>
