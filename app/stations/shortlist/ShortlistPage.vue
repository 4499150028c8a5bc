<template><h1>Shortlist</h1></template>
