<template><h1>Ask</h1></template>
