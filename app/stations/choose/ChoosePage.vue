<template><h1>Choose</h1></template>
