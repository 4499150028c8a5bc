<template><h1>Plan</h1></template>
