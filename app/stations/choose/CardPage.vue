<template><h1>Card</h1></template>
