<template><h1>Break</h1></template>
