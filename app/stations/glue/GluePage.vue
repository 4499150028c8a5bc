<template><h1>Glue</h1></template>
