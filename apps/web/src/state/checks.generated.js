// Made by scripts/checks.ts from the commands' schemas: change those, then run it again.
/* eslint-disable */
import * as module0 from 'ajv/dist/runtime/ucs2length'
import * as module1 from 'ajv-formats/dist/formats'
const exportsOf = (m) => (m.default && typeof m.default === 'object' ? m.default : m)

export const controller_put = validate10;
const schema11 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"ref":{"type":"string","pattern":"^[A-Za-z0-9-]{1,8}$"},"sheet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"cabinet":{"type":"string","minLength":1,"maxLength":120},"supply":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"address":{"type":"string","maxLength":200},"serial":{"type":"string","maxLength":200},"mac":{"type":"string","maxLength":200},"expanders":{"type":"array","maxItems":16,"items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^E[0-9]{1,2}$"},"sheet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","sheet"]}},"hubs":{"type":"array","maxItems":64,"items":{"type":"object","additionalProperties":false,"properties":{"unit":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"address":{"type":"integer","minimum":0,"maximum":63}},"required":["unit","address"]}},"fedFrom":{"type":"object","additionalProperties":false,"properties":{"controller":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lengthM":{"type":"number","exclusiveMinimum":0,"maximum":500},"type":{"anyOf":[{"type":"object","additionalProperties":false,"properties":{"kind":{"const":"iec"},"conductorClass":{"enum":[2,5]},"mm2":{"enum":[0.5,0.75,1,1.5,2.5]},"cores":{"type":"integer","minimum":1,"maximum":24},"perConductor":{"type":"integer","minimum":1,"maximum":4},"clad":{"type":"boolean"}},"required":["kind","conductorClass","mm2","cores"]},{"type":"object","additionalProperties":false,"properties":{"kind":{"const":"awg"},"gauge":{"type":"integer","minimum":10,"maximum":28},"cores":{"type":"integer","minimum":1,"maximum":24},"perConductor":{"type":"integer","minimum":1,"maximum":4},"clad":{"type":"boolean"}},"required":["kind","gauge","cores"]}]}},"required":["controller","lengthM","type"]}},"required":["id","ref","sheet","cabinet","supply","address","serial","mac"]};
const func2 = Object.prototype.hasOwnProperty;
const func3 = exportsOf(module0).default;
const pattern0 = new RegExp("^[A-Za-z0-9_.:-]+$", "u");
const pattern1 = new RegExp("^[A-Za-z0-9-]{1,8}$", "u");
const pattern4 = new RegExp("^E[0-9]{1,2}$", "u");

function validate10(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.ref === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "ref"},message:"must have required property '"+"ref"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.sheet === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "sheet"},message:"must have required property '"+"sheet"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.cabinet === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "cabinet"},message:"must have required property '"+"cabinet"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(!(false)){
if(data.supply === undefined){
const err4 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "supply"},message:"must have required property '"+"supply"+"'"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(!(false)){
if(data.address === undefined){
const err5 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(!(false)){
if(data.serial === undefined){
const err6 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "serial"},message:"must have required property '"+"serial"+"'"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(!(false)){
if(data.mac === undefined){
const err7 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "mac"},message:"must have required property '"+"mac"+"'"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
for(const key0 in data){
if(!(func2.call(schema11.properties, key0))){
const err8 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err9 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(func3(data0) < 1){
const err10 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(!pattern0.test(data0)){
const err11 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data.ref !== undefined){
let data1 = data.ref;
if(typeof data1 === "string"){
if(!pattern1.test(data1)){
const err13 = {instancePath:instancePath+"/ref",schemaPath:"#/properties/ref/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9-]{1,8}$"},message:"must match pattern \""+"^[A-Za-z0-9-]{1,8}$"+"\""};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
else {
const err14 = {instancePath:instancePath+"/ref",schemaPath:"#/properties/ref/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(data.sheet !== undefined){
let data2 = data.sheet;
if(typeof data2 === "string"){
if(func3(data2) > 80){
const err15 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
if(func3(data2) < 1){
const err16 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
if(!pattern0.test(data2)){
const err17 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
else {
const err18 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
if(data.cabinet !== undefined){
let data3 = data.cabinet;
if(typeof data3 === "string"){
if(func3(data3) > 120){
const err19 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
if(func3(data3) < 1){
const err20 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
else {
const err21 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data.supply !== undefined){
let data4 = data.supply;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err22 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
if(func3(data4) < 1){
const err23 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
if(!pattern0.test(data4)){
const err24 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
else {
const err25 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data.address !== undefined){
let data5 = data.address;
if(typeof data5 === "string"){
if(func3(data5) > 200){
const err26 = {instancePath:instancePath+"/address",schemaPath:"#/properties/address/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
else {
const err27 = {instancePath:instancePath+"/address",schemaPath:"#/properties/address/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
if(data.serial !== undefined){
let data6 = data.serial;
if(typeof data6 === "string"){
if(func3(data6) > 200){
const err28 = {instancePath:instancePath+"/serial",schemaPath:"#/properties/serial/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
else {
const err29 = {instancePath:instancePath+"/serial",schemaPath:"#/properties/serial/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(data.mac !== undefined){
let data7 = data.mac;
if(typeof data7 === "string"){
if(func3(data7) > 200){
const err30 = {instancePath:instancePath+"/mac",schemaPath:"#/properties/mac/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
else {
const err31 = {instancePath:instancePath+"/mac",schemaPath:"#/properties/mac/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
if(data.expanders !== undefined){
let data8 = data.expanders;
if(Array.isArray(data8)){
if(data8.length > 16){
const err32 = {instancePath:instancePath+"/expanders",schemaPath:"#/properties/expanders/maxItems",keyword:"maxItems",params:{limit: 16},message:"must NOT have more than 16 items"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
const len0 = data8.length;
for(let i0=0; i0<len0; i0++){
let data9 = data8[i0];
if(data9 && typeof data9 == "object" && !Array.isArray(data9)){
if(!(false)){
if(data9.id === undefined){
const err33 = {instancePath:instancePath+"/expanders/" + i0,schemaPath:"#/properties/expanders/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(!(false)){
if(data9.sheet === undefined){
const err34 = {instancePath:instancePath+"/expanders/" + i0,schemaPath:"#/properties/expanders/items/required",keyword:"required",params:{missingProperty: "sheet"},message:"must have required property '"+"sheet"+"'"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
for(const key1 in data9){
if(!((key1 === "id") || (key1 === "sheet"))){
const err35 = {instancePath:instancePath+"/expanders/" + i0,schemaPath:"#/properties/expanders/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
if(data9.id !== undefined){
let data10 = data9.id;
if(typeof data10 === "string"){
if(!pattern4.test(data10)){
const err36 = {instancePath:instancePath+"/expanders/" + i0+"/id",schemaPath:"#/properties/expanders/items/properties/id/pattern",keyword:"pattern",params:{pattern: "^E[0-9]{1,2}$"},message:"must match pattern \""+"^E[0-9]{1,2}$"+"\""};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
else {
const err37 = {instancePath:instancePath+"/expanders/" + i0+"/id",schemaPath:"#/properties/expanders/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
if(data9.sheet !== undefined){
let data11 = data9.sheet;
if(typeof data11 === "string"){
if(func3(data11) > 80){
const err38 = {instancePath:instancePath+"/expanders/" + i0+"/sheet",schemaPath:"#/properties/expanders/items/properties/sheet/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
if(func3(data11) < 1){
const err39 = {instancePath:instancePath+"/expanders/" + i0+"/sheet",schemaPath:"#/properties/expanders/items/properties/sheet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
if(!pattern0.test(data11)){
const err40 = {instancePath:instancePath+"/expanders/" + i0+"/sheet",schemaPath:"#/properties/expanders/items/properties/sheet/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
else {
const err41 = {instancePath:instancePath+"/expanders/" + i0+"/sheet",schemaPath:"#/properties/expanders/items/properties/sheet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
}
}
else {
const err42 = {instancePath:instancePath+"/expanders/" + i0,schemaPath:"#/properties/expanders/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
}
else {
const err43 = {instancePath:instancePath+"/expanders",schemaPath:"#/properties/expanders/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
if(data.hubs !== undefined){
let data12 = data.hubs;
if(Array.isArray(data12)){
if(data12.length > 64){
const err44 = {instancePath:instancePath+"/hubs",schemaPath:"#/properties/hubs/maxItems",keyword:"maxItems",params:{limit: 64},message:"must NOT have more than 64 items"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
const len1 = data12.length;
for(let i1=0; i1<len1; i1++){
let data13 = data12[i1];
if(data13 && typeof data13 == "object" && !Array.isArray(data13)){
if(!(false)){
if(data13.unit === undefined){
const err45 = {instancePath:instancePath+"/hubs/" + i1,schemaPath:"#/properties/hubs/items/required",keyword:"required",params:{missingProperty: "unit"},message:"must have required property '"+"unit"+"'"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
if(!(false)){
if(data13.address === undefined){
const err46 = {instancePath:instancePath+"/hubs/" + i1,schemaPath:"#/properties/hubs/items/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
for(const key2 in data13){
if(!((key2 === "unit") || (key2 === "address"))){
const err47 = {instancePath:instancePath+"/hubs/" + i1,schemaPath:"#/properties/hubs/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
if(data13.unit !== undefined){
let data14 = data13.unit;
if(typeof data14 === "string"){
if(func3(data14) > 80){
const err48 = {instancePath:instancePath+"/hubs/" + i1+"/unit",schemaPath:"#/properties/hubs/items/properties/unit/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
if(func3(data14) < 1){
const err49 = {instancePath:instancePath+"/hubs/" + i1+"/unit",schemaPath:"#/properties/hubs/items/properties/unit/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
if(!pattern0.test(data14)){
const err50 = {instancePath:instancePath+"/hubs/" + i1+"/unit",schemaPath:"#/properties/hubs/items/properties/unit/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
}
else {
const err51 = {instancePath:instancePath+"/hubs/" + i1+"/unit",schemaPath:"#/properties/hubs/items/properties/unit/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
}
if(data13.address !== undefined){
let data15 = data13.address;
if(!((typeof data15 == "number") && (!(data15 % 1) && !isNaN(data15)))){
const err52 = {instancePath:instancePath+"/hubs/" + i1+"/address",schemaPath:"#/properties/hubs/items/properties/address/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
if(typeof data15 == "number"){
if(data15 > 63 || isNaN(data15)){
const err53 = {instancePath:instancePath+"/hubs/" + i1+"/address",schemaPath:"#/properties/hubs/items/properties/address/maximum",keyword:"maximum",params:{comparison: "<=", limit: 63},message:"must be <= 63"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
if(data15 < 0 || isNaN(data15)){
const err54 = {instancePath:instancePath+"/hubs/" + i1+"/address",schemaPath:"#/properties/hubs/items/properties/address/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
}
}
}
else {
const err55 = {instancePath:instancePath+"/hubs/" + i1,schemaPath:"#/properties/hubs/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
}
else {
const err56 = {instancePath:instancePath+"/hubs",schemaPath:"#/properties/hubs/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
}
if(data.fedFrom !== undefined){
let data16 = data.fedFrom;
if(data16 && typeof data16 == "object" && !Array.isArray(data16)){
if(!(false)){
if(data16.controller === undefined){
const err57 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "controller"},message:"must have required property '"+"controller"+"'"};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
}
if(!(false)){
if(data16.lengthM === undefined){
const err58 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "lengthM"},message:"must have required property '"+"lengthM"+"'"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
}
if(!(false)){
if(data16.type === undefined){
const err59 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "type"},message:"must have required property '"+"type"+"'"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
}
for(const key3 in data16){
if(!(((key3 === "controller") || (key3 === "lengthM")) || (key3 === "type"))){
const err60 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key3},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
}
if(data16.controller !== undefined){
let data17 = data16.controller;
if(typeof data17 === "string"){
if(func3(data17) > 80){
const err61 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
if(func3(data17) < 1){
const err62 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
if(!pattern0.test(data17)){
const err63 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
}
else {
const err64 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
}
if(data16.lengthM !== undefined){
let data18 = data16.lengthM;
if(typeof data18 == "number"){
if(data18 > 500 || isNaN(data18)){
const err65 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/maximum",keyword:"maximum",params:{comparison: "<=", limit: 500},message:"must be <= 500"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
if(data18 <= 0 || isNaN(data18)){
const err66 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
}
else {
const err67 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
}
if(data16.type !== undefined){
let data19 = data16.type;
const _errs44 = errors;
let valid8 = false;
const _errs45 = errors;
if(data19 && typeof data19 == "object" && !Array.isArray(data19)){
if(!(false)){
if(data19.kind === undefined){
const err68 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err68];
}
else {
vErrors.push(err68);
}
errors++;
}
}
if(!(false)){
if(data19.conductorClass === undefined){
const err69 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "conductorClass"},message:"must have required property '"+"conductorClass"+"'"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
}
if(!(false)){
if(data19.mm2 === undefined){
const err70 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "mm2"},message:"must have required property '"+"mm2"+"'"};
if(vErrors === null){
vErrors = [err70];
}
else {
vErrors.push(err70);
}
errors++;
}
}
if(!(false)){
if(data19.cores === undefined){
const err71 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "cores"},message:"must have required property '"+"cores"+"'"};
if(vErrors === null){
vErrors = [err71];
}
else {
vErrors.push(err71);
}
errors++;
}
}
for(const key4 in data19){
if(!((((((key4 === "kind") || (key4 === "conductorClass")) || (key4 === "mm2")) || (key4 === "cores")) || (key4 === "perConductor")) || (key4 === "clad"))){
const err72 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key4},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err72];
}
else {
vErrors.push(err72);
}
errors++;
}
}
if(data19.kind !== undefined){
if("iec" !== data19.kind){
const err73 = {instancePath:instancePath+"/fedFrom/type/kind",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/kind/const",keyword:"const",params:{allowedValue: "iec"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err73];
}
else {
vErrors.push(err73);
}
errors++;
}
}
if(data19.conductorClass !== undefined){
let data21 = data19.conductorClass;
if(!((data21 === 2) || (data21 === 5))){
const err74 = {instancePath:instancePath+"/fedFrom/type/conductorClass",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/conductorClass/enum",keyword:"enum",params:{allowedValues: schema11.properties.fedFrom.properties.type.anyOf[0].properties.conductorClass.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err74];
}
else {
vErrors.push(err74);
}
errors++;
}
}
if(data19.mm2 !== undefined){
let data22 = data19.mm2;
if(!(((((data22 === 0.5) || (data22 === 0.75)) || (data22 === 1)) || (data22 === 1.5)) || (data22 === 2.5))){
const err75 = {instancePath:instancePath+"/fedFrom/type/mm2",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/mm2/enum",keyword:"enum",params:{allowedValues: schema11.properties.fedFrom.properties.type.anyOf[0].properties.mm2.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err75];
}
else {
vErrors.push(err75);
}
errors++;
}
}
if(data19.cores !== undefined){
let data23 = data19.cores;
if(!((typeof data23 == "number") && (!(data23 % 1) && !isNaN(data23)))){
const err76 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err76];
}
else {
vErrors.push(err76);
}
errors++;
}
if(typeof data23 == "number"){
if(data23 > 24 || isNaN(data23)){
const err77 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/maximum",keyword:"maximum",params:{comparison: "<=", limit: 24},message:"must be <= 24"};
if(vErrors === null){
vErrors = [err77];
}
else {
vErrors.push(err77);
}
errors++;
}
if(data23 < 1 || isNaN(data23)){
const err78 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err78];
}
else {
vErrors.push(err78);
}
errors++;
}
}
}
if(data19.perConductor !== undefined){
let data24 = data19.perConductor;
if(!((typeof data24 == "number") && (!(data24 % 1) && !isNaN(data24)))){
const err79 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err79];
}
else {
vErrors.push(err79);
}
errors++;
}
if(typeof data24 == "number"){
if(data24 > 4 || isNaN(data24)){
const err80 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/maximum",keyword:"maximum",params:{comparison: "<=", limit: 4},message:"must be <= 4"};
if(vErrors === null){
vErrors = [err80];
}
else {
vErrors.push(err80);
}
errors++;
}
if(data24 < 1 || isNaN(data24)){
const err81 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err81];
}
else {
vErrors.push(err81);
}
errors++;
}
}
}
if(data19.clad !== undefined){
if(typeof data19.clad !== "boolean"){
const err82 = {instancePath:instancePath+"/fedFrom/type/clad",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/clad/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err82];
}
else {
vErrors.push(err82);
}
errors++;
}
}
}
else {
const err83 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err83];
}
else {
vErrors.push(err83);
}
errors++;
}
var _valid0 = _errs45 === errors;
valid8 = valid8 || _valid0;
if(!valid8){
const _errs57 = errors;
if(data19 && typeof data19 == "object" && !Array.isArray(data19)){
if(!(false)){
if(data19.kind === undefined){
const err84 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err84];
}
else {
vErrors.push(err84);
}
errors++;
}
}
if(!(false)){
if(data19.gauge === undefined){
const err85 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "gauge"},message:"must have required property '"+"gauge"+"'"};
if(vErrors === null){
vErrors = [err85];
}
else {
vErrors.push(err85);
}
errors++;
}
}
if(!(false)){
if(data19.cores === undefined){
const err86 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "cores"},message:"must have required property '"+"cores"+"'"};
if(vErrors === null){
vErrors = [err86];
}
else {
vErrors.push(err86);
}
errors++;
}
}
for(const key5 in data19){
if(!(((((key5 === "kind") || (key5 === "gauge")) || (key5 === "cores")) || (key5 === "perConductor")) || (key5 === "clad"))){
const err87 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key5},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err87];
}
else {
vErrors.push(err87);
}
errors++;
}
}
if(data19.kind !== undefined){
if("awg" !== data19.kind){
const err88 = {instancePath:instancePath+"/fedFrom/type/kind",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/kind/const",keyword:"const",params:{allowedValue: "awg"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err88];
}
else {
vErrors.push(err88);
}
errors++;
}
}
if(data19.gauge !== undefined){
let data27 = data19.gauge;
if(!((typeof data27 == "number") && (!(data27 % 1) && !isNaN(data27)))){
const err89 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err89];
}
else {
vErrors.push(err89);
}
errors++;
}
if(typeof data27 == "number"){
if(data27 > 28 || isNaN(data27)){
const err90 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/maximum",keyword:"maximum",params:{comparison: "<=", limit: 28},message:"must be <= 28"};
if(vErrors === null){
vErrors = [err90];
}
else {
vErrors.push(err90);
}
errors++;
}
if(data27 < 10 || isNaN(data27)){
const err91 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/minimum",keyword:"minimum",params:{comparison: ">=", limit: 10},message:"must be >= 10"};
if(vErrors === null){
vErrors = [err91];
}
else {
vErrors.push(err91);
}
errors++;
}
}
}
if(data19.cores !== undefined){
let data28 = data19.cores;
if(!((typeof data28 == "number") && (!(data28 % 1) && !isNaN(data28)))){
const err92 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err92];
}
else {
vErrors.push(err92);
}
errors++;
}
if(typeof data28 == "number"){
if(data28 > 24 || isNaN(data28)){
const err93 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/maximum",keyword:"maximum",params:{comparison: "<=", limit: 24},message:"must be <= 24"};
if(vErrors === null){
vErrors = [err93];
}
else {
vErrors.push(err93);
}
errors++;
}
if(data28 < 1 || isNaN(data28)){
const err94 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err94];
}
else {
vErrors.push(err94);
}
errors++;
}
}
}
if(data19.perConductor !== undefined){
let data29 = data19.perConductor;
if(!((typeof data29 == "number") && (!(data29 % 1) && !isNaN(data29)))){
const err95 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err95];
}
else {
vErrors.push(err95);
}
errors++;
}
if(typeof data29 == "number"){
if(data29 > 4 || isNaN(data29)){
const err96 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/maximum",keyword:"maximum",params:{comparison: "<=", limit: 4},message:"must be <= 4"};
if(vErrors === null){
vErrors = [err96];
}
else {
vErrors.push(err96);
}
errors++;
}
if(data29 < 1 || isNaN(data29)){
const err97 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err97];
}
else {
vErrors.push(err97);
}
errors++;
}
}
}
if(data19.clad !== undefined){
if(typeof data19.clad !== "boolean"){
const err98 = {instancePath:instancePath+"/fedFrom/type/clad",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/clad/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err98];
}
else {
vErrors.push(err98);
}
errors++;
}
}
}
else {
const err99 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err99];
}
else {
vErrors.push(err99);
}
errors++;
}
var _valid0 = _errs57 === errors;
valid8 = valid8 || _valid0;
}
if(!valid8){
const err100 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf",keyword:"anyOf",params:{},message:"must match a schema in anyOf"};
if(vErrors === null){
vErrors = [err100];
}
else {
vErrors.push(err100);
}
errors++;
}
else {
errors = _errs44;
if(vErrors !== null){
if(_errs44){
vErrors.length = _errs44;
}
else {
vErrors = null;
}
}
}
}
}
else {
const err101 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err101];
}
else {
vErrors.push(err101);
}
errors++;
}
}
}
else {
const err102 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err102];
}
else {
vErrors.push(err102);
}
errors++;
}
validate10.errors = vErrors;
return errors === 0;
}

export const unit_put = validate11;
const schema12 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"ref":{"type":"string","pattern":"^[A-Za-z0-9-]{1,8}$"},"sheet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"cabinet":{"type":"string","minLength":1,"maxLength":120},"address":{"type":"string","maxLength":200}},"required":["id","ref","sheet","cabinet","address"]};

function validate11(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.ref === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "ref"},message:"must have required property '"+"ref"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.sheet === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "sheet"},message:"must have required property '"+"sheet"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.cabinet === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "cabinet"},message:"must have required property '"+"cabinet"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(!(false)){
if(data.address === undefined){
const err4 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
for(const key0 in data){
if(!(((((key0 === "id") || (key0 === "ref")) || (key0 === "sheet")) || (key0 === "cabinet")) || (key0 === "address"))){
const err5 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(func3(data0) < 1){
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(!pattern0.test(data0)){
const err8 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.ref !== undefined){
let data1 = data.ref;
if(typeof data1 === "string"){
if(!pattern1.test(data1)){
const err10 = {instancePath:instancePath+"/ref",schemaPath:"#/properties/ref/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9-]{1,8}$"},message:"must match pattern \""+"^[A-Za-z0-9-]{1,8}$"+"\""};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
else {
const err11 = {instancePath:instancePath+"/ref",schemaPath:"#/properties/ref/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.sheet !== undefined){
let data2 = data.sheet;
if(typeof data2 === "string"){
if(func3(data2) > 80){
const err12 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
if(func3(data2) < 1){
const err13 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(!pattern0.test(data2)){
const err14 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
else {
const err15 = {instancePath:instancePath+"/sheet",schemaPath:"#/properties/sheet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(data.cabinet !== undefined){
let data3 = data.cabinet;
if(typeof data3 === "string"){
if(func3(data3) > 120){
const err16 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
if(func3(data3) < 1){
const err17 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
else {
const err18 = {instancePath:instancePath+"/cabinet",schemaPath:"#/properties/cabinet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
if(data.address !== undefined){
let data4 = data.address;
if(typeof data4 === "string"){
if(func3(data4) > 200){
const err19 = {instancePath:instancePath+"/address",schemaPath:"#/properties/address/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/address",schemaPath:"#/properties/address/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
}
else {
const err21 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
validate11.errors = vErrors;
return errors === 0;
}

export const unitFeed_put = validate12;
const schema13 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$"},"unit":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"port":{"type":"string","minLength":1,"maxLength":20},"lengthM":{"type":"number","minimum":0,"maximum":2000}},"required":["id","unit","port","lengthM"]};
const pattern11 = new RegExp("^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$", "u");

function validate12(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.unit === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "unit"},message:"must have required property '"+"unit"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.port === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "port"},message:"must have required property '"+"port"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.lengthM === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "lengthM"},message:"must have required property '"+"lengthM"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
for(const key0 in data){
if(!((((key0 === "id") || (key0 === "unit")) || (key0 === "port")) || (key0 === "lengthM"))){
const err4 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(!pattern11.test(data0)){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$"},message:"must match pattern \""+"^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$"+"\""};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.unit !== undefined){
let data1 = data.unit;
if(typeof data1 === "string"){
if(func3(data1) > 80){
const err7 = {instancePath:instancePath+"/unit",schemaPath:"#/properties/unit/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(func3(data1) < 1){
const err8 = {instancePath:instancePath+"/unit",schemaPath:"#/properties/unit/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
if(!pattern0.test(data1)){
const err9 = {instancePath:instancePath+"/unit",schemaPath:"#/properties/unit/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
else {
const err10 = {instancePath:instancePath+"/unit",schemaPath:"#/properties/unit/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
if(data.port !== undefined){
let data2 = data.port;
if(typeof data2 === "string"){
if(func3(data2) > 20){
const err11 = {instancePath:instancePath+"/port",schemaPath:"#/properties/port/maxLength",keyword:"maxLength",params:{limit: 20},message:"must NOT have more than 20 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
if(func3(data2) < 1){
const err12 = {instancePath:instancePath+"/port",schemaPath:"#/properties/port/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
else {
const err13 = {instancePath:instancePath+"/port",schemaPath:"#/properties/port/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(data.lengthM !== undefined){
let data3 = data.lengthM;
if(typeof data3 == "number"){
if(data3 > 2000 || isNaN(data3)){
const err14 = {instancePath:instancePath+"/lengthM",schemaPath:"#/properties/lengthM/maximum",keyword:"maximum",params:{comparison: "<=", limit: 2000},message:"must be <= 2000"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(data3 < 0 || isNaN(data3)){
const err15 = {instancePath:instancePath+"/lengthM",schemaPath:"#/properties/lengthM/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/lengthM",schemaPath:"#/properties/lengthM/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
}
else {
const err17 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
validate12.errors = vErrors;
return errors === 0;
}

export const job_edit = validate13;
const schema14 = {"type":"object","additionalProperties":false,"properties":{"fields":{"type":"object","additionalProperties":false,"properties":{"name":{"type":"string","minLength":1,"maxLength":120},"client":{"type":"string","maxLength":200},"site":{"type":"string","maxLength":200},"zone":{"type":"string","minLength":1,"maxLength":120},"network":{"type":"object","additionalProperties":false,"properties":{"address":{"type":"string","maxLength":200},"prefix":{"type":"integer","minimum":8,"maximum":30},"gateway":{"type":"string","maxLength":200},"timeServer":{"type":"string","maxLength":200},"reserved":{"type":"string","maxLength":200}},"required":["address","prefix","gateway","timeServer"]},"limits":{"type":"object","additionalProperties":false,"properties":{"watchS":{"type":"number","minimum":1,"maximum":86400},"receiptS":{"type":"number","minimum":1,"maximum":86400},"reachS":{"type":"number","minimum":1,"maximum":86400},"clockS":{"type":"number","minimum":1,"maximum":86400}},"required":["watchS","receiptS","reachS","clockS"]}},"required":[]}},"required":["fields"]};

function validate13(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.fields === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "fields"},message:"must have required property '"+"fields"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
for(const key0 in data){
if(!(key0 === "fields")){
const err1 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(data.fields !== undefined){
let data0 = data.fields;
if(data0 && typeof data0 == "object" && !Array.isArray(data0)){
for(const key1 in data0){
if(!((((((key1 === "name") || (key1 === "client")) || (key1 === "site")) || (key1 === "zone")) || (key1 === "network")) || (key1 === "limits"))){
const err2 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data0.name !== undefined){
let data1 = data0.name;
if(typeof data1 === "string"){
if(func3(data1) > 120){
const err3 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data1) < 1){
const err4 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
else {
const err5 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(data0.client !== undefined){
let data2 = data0.client;
if(typeof data2 === "string"){
if(func3(data2) > 200){
const err6 = {instancePath:instancePath+"/fields/client",schemaPath:"#/properties/fields/properties/client/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
else {
const err7 = {instancePath:instancePath+"/fields/client",schemaPath:"#/properties/fields/properties/client/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data0.site !== undefined){
let data3 = data0.site;
if(typeof data3 === "string"){
if(func3(data3) > 200){
const err8 = {instancePath:instancePath+"/fields/site",schemaPath:"#/properties/fields/properties/site/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/fields/site",schemaPath:"#/properties/fields/properties/site/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data0.zone !== undefined){
let data4 = data0.zone;
if(typeof data4 === "string"){
if(func3(data4) > 120){
const err10 = {instancePath:instancePath+"/fields/zone",schemaPath:"#/properties/fields/properties/zone/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(func3(data4) < 1){
const err11 = {instancePath:instancePath+"/fields/zone",schemaPath:"#/properties/fields/properties/zone/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/fields/zone",schemaPath:"#/properties/fields/properties/zone/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data0.network !== undefined){
let data5 = data0.network;
if(data5 && typeof data5 == "object" && !Array.isArray(data5)){
if(!(false)){
if(data5.address === undefined){
const err13 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(!(false)){
if(data5.prefix === undefined){
const err14 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/required",keyword:"required",params:{missingProperty: "prefix"},message:"must have required property '"+"prefix"+"'"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(!(false)){
if(data5.gateway === undefined){
const err15 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/required",keyword:"required",params:{missingProperty: "gateway"},message:"must have required property '"+"gateway"+"'"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(!(false)){
if(data5.timeServer === undefined){
const err16 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/required",keyword:"required",params:{missingProperty: "timeServer"},message:"must have required property '"+"timeServer"+"'"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
for(const key2 in data5){
if(!(((((key2 === "address") || (key2 === "prefix")) || (key2 === "gateway")) || (key2 === "timeServer")) || (key2 === "reserved"))){
const err17 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
if(data5.address !== undefined){
let data6 = data5.address;
if(typeof data6 === "string"){
if(func3(data6) > 200){
const err18 = {instancePath:instancePath+"/fields/network/address",schemaPath:"#/properties/fields/properties/network/properties/address/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
else {
const err19 = {instancePath:instancePath+"/fields/network/address",schemaPath:"#/properties/fields/properties/network/properties/address/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
if(data5.prefix !== undefined){
let data7 = data5.prefix;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err20 = {instancePath:instancePath+"/fields/network/prefix",schemaPath:"#/properties/fields/properties/network/properties/prefix/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
if(typeof data7 == "number"){
if(data7 > 30 || isNaN(data7)){
const err21 = {instancePath:instancePath+"/fields/network/prefix",schemaPath:"#/properties/fields/properties/network/properties/prefix/maximum",keyword:"maximum",params:{comparison: "<=", limit: 30},message:"must be <= 30"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
if(data7 < 8 || isNaN(data7)){
const err22 = {instancePath:instancePath+"/fields/network/prefix",schemaPath:"#/properties/fields/properties/network/properties/prefix/minimum",keyword:"minimum",params:{comparison: ">=", limit: 8},message:"must be >= 8"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
}
if(data5.gateway !== undefined){
let data8 = data5.gateway;
if(typeof data8 === "string"){
if(func3(data8) > 200){
const err23 = {instancePath:instancePath+"/fields/network/gateway",schemaPath:"#/properties/fields/properties/network/properties/gateway/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
else {
const err24 = {instancePath:instancePath+"/fields/network/gateway",schemaPath:"#/properties/fields/properties/network/properties/gateway/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
if(data5.timeServer !== undefined){
let data9 = data5.timeServer;
if(typeof data9 === "string"){
if(func3(data9) > 200){
const err25 = {instancePath:instancePath+"/fields/network/timeServer",schemaPath:"#/properties/fields/properties/network/properties/timeServer/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
else {
const err26 = {instancePath:instancePath+"/fields/network/timeServer",schemaPath:"#/properties/fields/properties/network/properties/timeServer/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(data5.reserved !== undefined){
let data10 = data5.reserved;
if(typeof data10 === "string"){
if(func3(data10) > 200){
const err27 = {instancePath:instancePath+"/fields/network/reserved",schemaPath:"#/properties/fields/properties/network/properties/reserved/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
else {
const err28 = {instancePath:instancePath+"/fields/network/reserved",schemaPath:"#/properties/fields/properties/network/properties/reserved/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
}
else {
const err29 = {instancePath:instancePath+"/fields/network",schemaPath:"#/properties/fields/properties/network/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(data0.limits !== undefined){
let data11 = data0.limits;
if(data11 && typeof data11 == "object" && !Array.isArray(data11)){
if(!(false)){
if(data11.watchS === undefined){
const err30 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/required",keyword:"required",params:{missingProperty: "watchS"},message:"must have required property '"+"watchS"+"'"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(!(false)){
if(data11.receiptS === undefined){
const err31 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/required",keyword:"required",params:{missingProperty: "receiptS"},message:"must have required property '"+"receiptS"+"'"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
if(!(false)){
if(data11.reachS === undefined){
const err32 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/required",keyword:"required",params:{missingProperty: "reachS"},message:"must have required property '"+"reachS"+"'"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
if(!(false)){
if(data11.clockS === undefined){
const err33 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/required",keyword:"required",params:{missingProperty: "clockS"},message:"must have required property '"+"clockS"+"'"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
for(const key3 in data11){
if(!((((key3 === "watchS") || (key3 === "receiptS")) || (key3 === "reachS")) || (key3 === "clockS"))){
const err34 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key3},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(data11.watchS !== undefined){
let data12 = data11.watchS;
if(typeof data12 == "number"){
if(data12 > 86400 || isNaN(data12)){
const err35 = {instancePath:instancePath+"/fields/limits/watchS",schemaPath:"#/properties/fields/properties/limits/properties/watchS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
if(data12 < 1 || isNaN(data12)){
const err36 = {instancePath:instancePath+"/fields/limits/watchS",schemaPath:"#/properties/fields/properties/limits/properties/watchS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
else {
const err37 = {instancePath:instancePath+"/fields/limits/watchS",schemaPath:"#/properties/fields/properties/limits/properties/watchS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
if(data11.receiptS !== undefined){
let data13 = data11.receiptS;
if(typeof data13 == "number"){
if(data13 > 86400 || isNaN(data13)){
const err38 = {instancePath:instancePath+"/fields/limits/receiptS",schemaPath:"#/properties/fields/properties/limits/properties/receiptS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
if(data13 < 1 || isNaN(data13)){
const err39 = {instancePath:instancePath+"/fields/limits/receiptS",schemaPath:"#/properties/fields/properties/limits/properties/receiptS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
else {
const err40 = {instancePath:instancePath+"/fields/limits/receiptS",schemaPath:"#/properties/fields/properties/limits/properties/receiptS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
if(data11.reachS !== undefined){
let data14 = data11.reachS;
if(typeof data14 == "number"){
if(data14 > 86400 || isNaN(data14)){
const err41 = {instancePath:instancePath+"/fields/limits/reachS",schemaPath:"#/properties/fields/properties/limits/properties/reachS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
if(data14 < 1 || isNaN(data14)){
const err42 = {instancePath:instancePath+"/fields/limits/reachS",schemaPath:"#/properties/fields/properties/limits/properties/reachS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
else {
const err43 = {instancePath:instancePath+"/fields/limits/reachS",schemaPath:"#/properties/fields/properties/limits/properties/reachS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
if(data11.clockS !== undefined){
let data15 = data11.clockS;
if(typeof data15 == "number"){
if(data15 > 86400 || isNaN(data15)){
const err44 = {instancePath:instancePath+"/fields/limits/clockS",schemaPath:"#/properties/fields/properties/limits/properties/clockS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
if(data15 < 1 || isNaN(data15)){
const err45 = {instancePath:instancePath+"/fields/limits/clockS",schemaPath:"#/properties/fields/properties/limits/properties/clockS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
else {
const err46 = {instancePath:instancePath+"/fields/limits/clockS",schemaPath:"#/properties/fields/properties/limits/properties/clockS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
}
else {
const err47 = {instancePath:instancePath+"/fields/limits",schemaPath:"#/properties/fields/properties/limits/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
}
else {
const err48 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
}
}
else {
const err49 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
validate13.errors = vErrors;
return errors === 0;
}

export const area_put = validate14;
const schema15 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"code":{"type":"string","pattern":"^[A-Z0-9]{1,4}$"},"name":{"type":"string","minLength":1,"maxLength":120},"parent":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","code","name"]};
const pattern14 = new RegExp("^[A-Z0-9]{1,4}$", "u");

function validate14(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.code === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "code"},message:"must have required property '"+"code"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!((((key0 === "id") || (key0 === "code")) || (key0 === "name")) || (key0 === "parent"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(!pattern0.test(data0)){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
else {
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data.code !== undefined){
let data1 = data.code;
if(typeof data1 === "string"){
if(!pattern14.test(data1)){
const err8 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/pattern",keyword:"pattern",params:{pattern: "^[A-Z0-9]{1,4}$"},message:"must match pattern \""+"^[A-Z0-9]{1,4}$"+"\""};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.name !== undefined){
let data2 = data.name;
if(typeof data2 === "string"){
if(func3(data2) > 120){
const err10 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(func3(data2) < 1){
const err11 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data.parent !== undefined){
let data3 = data.parent;
if(typeof data3 === "string"){
if(func3(data3) > 80){
const err13 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(func3(data3) < 1){
const err14 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(!pattern0.test(data3)){
const err15 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
}
else {
const err17 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
validate14.errors = vErrors;
return errors === 0;
}

export const door_add = validate15;
const schema16 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"fields":{"type":"object","additionalProperties":false,"properties":{"ref":{"type":"string","pattern":"^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"},"name":{"type":"string","minLength":1,"maxLength":120},"from":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"to":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"escapeRoute":{"type":"boolean"},"passagesPerDay":{"type":"integer","minimum":0,"maximum":100000},"walk":{"type":"integer"},"handle":{"type":"boolean"},"otherWayOut":{"type":"boolean"},"behaviour":{"type":"object","additionalProperties":false,"properties":{"releaseS":{"type":"number","minimum":0.5,"maximum":3600},"heldOpenS":{"type":"number","minimum":1,"maximum":3600},"relockDelayS":{"type":"number","minimum":0,"maximum":3600},"contactIdle":{"enum":["closed","open"]},"exitIdle":{"enum":["closed","open"]},"forcedAlarm":{"type":"boolean"},"openerAfterS":{"type":"number","minimum":0,"maximum":60},"deskReleaseS":{"type":"number","minimum":0.5,"maximum":3600},"longReleaseS":{"type":"number","minimum":0.5,"maximum":3600},"longOpenS":{"type":"number","minimum":1,"maximum":3600},"idle":{"type":"object","maxProperties":40,"propertyNames":{"pattern":"^[A-Z][0-9]{1,2}$"},"additionalProperties":{"enum":["closed","open"]}},"preAlarmS":{"type":"number","minimum":1,"maximum":3600},"unlockAfterS":{"type":"number","minimum":1,"maximum":60},"relockAt":{"const":"opening"},"freeOn":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"barredOn":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"firstPerson":{"const":true},"code":{"enum":["with","instead","alone"]},"pairWithinS":{"type":"number","minimum":2,"maximum":60},"reentryS":{"type":"number","minimum":2,"maximum":86400},"passback":{"enum":["refuse","tell"]},"passbackS":{"type":"number","minimum":60,"maximum":86400}},"required":["releaseS","heldOpenS","relockDelayS","contactIdle","exitIdle","forcedAlarm"]},"hardware":{"type":"object","additionalProperties":false,"properties":{"entryReader":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exitReader":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lock":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lock2":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"contact":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"contact2":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"boltContact":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exit":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exitSensor":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"deskButton":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"breakGlass":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"opener":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"tamper":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"spare":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"sounder":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"signal":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelSet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelUnset":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelToggle":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelState":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":[]},"opening":{"enum":["door","doubleDoor","gate","shutter","turnstile","cabinet","locker","padlock","liftCall"]},"outdoor":{"type":"boolean"},"pinned":{"type":"boolean"},"decides":{"type":"object","additionalProperties":false,"properties":{"by":{"enum":["reader","lock","controller","server"]},"afterS":{"type":"number","minimum":0,"maximum":3600},"then":{"enum":["staysShut","opens","knownCards"]}},"required":["by","afterS","then"]},"ends":{"type":"object","additionalProperties":false,"properties":{"seriesOhm":{"type":"number","minimum":0,"maximum":100000},"parallelOhm":{"type":"number","minimum":0,"maximum":100000},"at":{"enum":["device","controller"]}},"required":["seriesOhm","parallelOhm","at"]},"drive":{"type":"object","additionalProperties":false,"properties":{"pullMs":{"type":"number","minimum":20,"maximum":5000},"holdShare":{"type":"number","minimum":0.05,"maximum":1}},"required":["pullMs","holdShare"]},"distances":{"type":"object","maxProperties":100,"additionalProperties":{"type":"number","minimum":0,"maximum":2000}},"at":{"type":"object","additionalProperties":false,"properties":{"x":{"type":"number","minimum":-100000,"maximum":100000},"y":{"type":"number","minimum":-100000,"maximum":100000}},"required":["x","y"]}},"required":["ref","name","from","to"]}},"required":["id","fields"]};
const pattern17 = new RegExp("^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$", "u");
const pattern20 = new RegExp("^[A-Z][0-9]{1,2}$", "u");

function validate15(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.fields === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "fields"},message:"must have required property '"+"fields"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!((key0 === "id") || (key0 === "fields"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err3 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data0) < 1){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(!pattern0.test(data0)){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.fields !== undefined){
let data1 = data.fields;
if(data1 && typeof data1 == "object" && !Array.isArray(data1)){
if(!(false)){
if(data1.ref === undefined){
const err7 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/required",keyword:"required",params:{missingProperty: "ref"},message:"must have required property '"+"ref"+"'"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(!(false)){
if(data1.name === undefined){
const err8 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(!(false)){
if(data1.from === undefined){
const err9 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(!(false)){
if(data1.to === undefined){
const err10 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/required",keyword:"required",params:{missingProperty: "to"},message:"must have required property '"+"to"+"'"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
for(const key1 in data1){
if(!(func2.call(schema16.properties.fields.properties, key1))){
const err11 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data1.ref !== undefined){
let data2 = data1.ref;
if(typeof data2 === "string"){
if(!pattern17.test(data2)){
const err12 = {instancePath:instancePath+"/fields/ref",schemaPath:"#/properties/fields/properties/ref/pattern",keyword:"pattern",params:{pattern: "^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"},message:"must match pattern \""+"^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"+"\""};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
else {
const err13 = {instancePath:instancePath+"/fields/ref",schemaPath:"#/properties/fields/properties/ref/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(data1.name !== undefined){
let data3 = data1.name;
if(typeof data3 === "string"){
if(func3(data3) > 120){
const err14 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(func3(data3) < 1){
const err15 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(data1.from !== undefined){
let data4 = data1.from;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err17 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(func3(data4) < 1){
const err18 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(!pattern0.test(data4)){
const err19 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data1.to !== undefined){
let data5 = data1.to;
if(typeof data5 === "string"){
if(func3(data5) > 80){
const err21 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
if(func3(data5) < 1){
const err22 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
if(!pattern0.test(data5)){
const err23 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
else {
const err24 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
if(data1.escapeRoute !== undefined){
if(typeof data1.escapeRoute !== "boolean"){
const err25 = {instancePath:instancePath+"/fields/escapeRoute",schemaPath:"#/properties/fields/properties/escapeRoute/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data1.passagesPerDay !== undefined){
let data7 = data1.passagesPerDay;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err26 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
if(typeof data7 == "number"){
if(data7 > 100000 || isNaN(data7)){
const err27 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
if(data7 < 0 || isNaN(data7)){
const err28 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
}
if(data1.walk !== undefined){
let data8 = data1.walk;
if(!((typeof data8 == "number") && (!(data8 % 1) && !isNaN(data8)))){
const err29 = {instancePath:instancePath+"/fields/walk",schemaPath:"#/properties/fields/properties/walk/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(data1.handle !== undefined){
if(typeof data1.handle !== "boolean"){
const err30 = {instancePath:instancePath+"/fields/handle",schemaPath:"#/properties/fields/properties/handle/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(data1.otherWayOut !== undefined){
if(typeof data1.otherWayOut !== "boolean"){
const err31 = {instancePath:instancePath+"/fields/otherWayOut",schemaPath:"#/properties/fields/properties/otherWayOut/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
if(data1.behaviour !== undefined){
let data11 = data1.behaviour;
if(data11 && typeof data11 == "object" && !Array.isArray(data11)){
if(!(false)){
if(data11.releaseS === undefined){
const err32 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "releaseS"},message:"must have required property '"+"releaseS"+"'"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
if(!(false)){
if(data11.heldOpenS === undefined){
const err33 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "heldOpenS"},message:"must have required property '"+"heldOpenS"+"'"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(!(false)){
if(data11.relockDelayS === undefined){
const err34 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "relockDelayS"},message:"must have required property '"+"relockDelayS"+"'"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(!(false)){
if(data11.contactIdle === undefined){
const err35 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "contactIdle"},message:"must have required property '"+"contactIdle"+"'"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
if(!(false)){
if(data11.exitIdle === undefined){
const err36 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "exitIdle"},message:"must have required property '"+"exitIdle"+"'"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
if(!(false)){
if(data11.forcedAlarm === undefined){
const err37 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "forcedAlarm"},message:"must have required property '"+"forcedAlarm"+"'"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
for(const key2 in data11){
if(!(func2.call(schema16.properties.fields.properties.behaviour.properties, key2))){
const err38 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
if(data11.releaseS !== undefined){
let data12 = data11.releaseS;
if(typeof data12 == "number"){
if(data12 > 3600 || isNaN(data12)){
const err39 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
if(data12 < 0.5 || isNaN(data12)){
const err40 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
else {
const err41 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
}
if(data11.heldOpenS !== undefined){
let data13 = data11.heldOpenS;
if(typeof data13 == "number"){
if(data13 > 3600 || isNaN(data13)){
const err42 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
if(data13 < 1 || isNaN(data13)){
const err43 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
else {
const err44 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
}
if(data11.relockDelayS !== undefined){
let data14 = data11.relockDelayS;
if(typeof data14 == "number"){
if(data14 > 3600 || isNaN(data14)){
const err45 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
if(data14 < 0 || isNaN(data14)){
const err46 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
else {
const err47 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
if(data11.contactIdle !== undefined){
let data15 = data11.contactIdle;
if(!((data15 === "closed") || (data15 === "open"))){
const err48 = {instancePath:instancePath+"/fields/behaviour/contactIdle",schemaPath:"#/properties/fields/properties/behaviour/properties/contactIdle/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.behaviour.properties.contactIdle.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
}
if(data11.exitIdle !== undefined){
let data16 = data11.exitIdle;
if(!((data16 === "closed") || (data16 === "open"))){
const err49 = {instancePath:instancePath+"/fields/behaviour/exitIdle",schemaPath:"#/properties/fields/properties/behaviour/properties/exitIdle/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.behaviour.properties.exitIdle.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
}
if(data11.forcedAlarm !== undefined){
if(typeof data11.forcedAlarm !== "boolean"){
const err50 = {instancePath:instancePath+"/fields/behaviour/forcedAlarm",schemaPath:"#/properties/fields/properties/behaviour/properties/forcedAlarm/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
}
if(data11.openerAfterS !== undefined){
let data18 = data11.openerAfterS;
if(typeof data18 == "number"){
if(data18 > 60 || isNaN(data18)){
const err51 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
if(data18 < 0 || isNaN(data18)){
const err52 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
}
else {
const err53 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
}
if(data11.deskReleaseS !== undefined){
let data19 = data11.deskReleaseS;
if(typeof data19 == "number"){
if(data19 > 3600 || isNaN(data19)){
const err54 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
if(data19 < 0.5 || isNaN(data19)){
const err55 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
else {
const err56 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
}
if(data11.longReleaseS !== undefined){
let data20 = data11.longReleaseS;
if(typeof data20 == "number"){
if(data20 > 3600 || isNaN(data20)){
const err57 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
if(data20 < 0.5 || isNaN(data20)){
const err58 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
}
else {
const err59 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
}
if(data11.longOpenS !== undefined){
let data21 = data11.longOpenS;
if(typeof data21 == "number"){
if(data21 > 3600 || isNaN(data21)){
const err60 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
if(data21 < 1 || isNaN(data21)){
const err61 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
}
else {
const err62 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
}
if(data11.idle !== undefined){
let data22 = data11.idle;
if(data22 && typeof data22 == "object" && !Array.isArray(data22)){
if(Object.keys(data22).length > 40){
const err63 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/maxProperties",keyword:"maxProperties",params:{limit: 40},message:"must NOT have more than 40 properties"};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
for(const key3 in data22){
const _errs48 = errors;
if(typeof key3 === "string"){
if(!pattern20.test(key3)){
const err64 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/propertyNames/pattern",keyword:"pattern",params:{pattern: "^[A-Z][0-9]{1,2}$"},message:"must match pattern \""+"^[A-Z][0-9]{1,2}$"+"\"",propertyName:key3};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
}
var valid3 = _errs48 === errors;
if(!valid3){
const err65 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/propertyNames",keyword:"propertyNames",params:{propertyName: key3},message:"property name must be valid"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
}
for(const key4 in data22){
let data23 = data22[key4];
if(!((data23 === "closed") || (data23 === "open"))){
const err66 = {instancePath:instancePath+"/fields/behaviour/idle/" + key4.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/behaviour/properties/idle/additionalProperties/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.behaviour.properties.idle.additionalProperties.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
}
}
else {
const err67 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
}
if(data11.preAlarmS !== undefined){
let data24 = data11.preAlarmS;
if(typeof data24 == "number"){
if(data24 > 3600 || isNaN(data24)){
const err68 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err68];
}
else {
vErrors.push(err68);
}
errors++;
}
if(data24 < 1 || isNaN(data24)){
const err69 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
}
else {
const err70 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err70];
}
else {
vErrors.push(err70);
}
errors++;
}
}
if(data11.unlockAfterS !== undefined){
let data25 = data11.unlockAfterS;
if(typeof data25 == "number"){
if(data25 > 60 || isNaN(data25)){
const err71 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err71];
}
else {
vErrors.push(err71);
}
errors++;
}
if(data25 < 1 || isNaN(data25)){
const err72 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err72];
}
else {
vErrors.push(err72);
}
errors++;
}
}
else {
const err73 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err73];
}
else {
vErrors.push(err73);
}
errors++;
}
}
if(data11.relockAt !== undefined){
if("opening" !== data11.relockAt){
const err74 = {instancePath:instancePath+"/fields/behaviour/relockAt",schemaPath:"#/properties/fields/properties/behaviour/properties/relockAt/const",keyword:"const",params:{allowedValue: "opening"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err74];
}
else {
vErrors.push(err74);
}
errors++;
}
}
if(data11.freeOn !== undefined){
let data27 = data11.freeOn;
if(typeof data27 === "string"){
if(func3(data27) > 80){
const err75 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err75];
}
else {
vErrors.push(err75);
}
errors++;
}
if(func3(data27) < 1){
const err76 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err76];
}
else {
vErrors.push(err76);
}
errors++;
}
if(!pattern0.test(data27)){
const err77 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err77];
}
else {
vErrors.push(err77);
}
errors++;
}
}
else {
const err78 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err78];
}
else {
vErrors.push(err78);
}
errors++;
}
}
if(data11.barredOn !== undefined){
let data28 = data11.barredOn;
if(typeof data28 === "string"){
if(func3(data28) > 80){
const err79 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err79];
}
else {
vErrors.push(err79);
}
errors++;
}
if(func3(data28) < 1){
const err80 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err80];
}
else {
vErrors.push(err80);
}
errors++;
}
if(!pattern0.test(data28)){
const err81 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err81];
}
else {
vErrors.push(err81);
}
errors++;
}
}
else {
const err82 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err82];
}
else {
vErrors.push(err82);
}
errors++;
}
}
if(data11.firstPerson !== undefined){
if(true !== data11.firstPerson){
const err83 = {instancePath:instancePath+"/fields/behaviour/firstPerson",schemaPath:"#/properties/fields/properties/behaviour/properties/firstPerson/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err83];
}
else {
vErrors.push(err83);
}
errors++;
}
}
if(data11.code !== undefined){
let data30 = data11.code;
if(!(((data30 === "with") || (data30 === "instead")) || (data30 === "alone"))){
const err84 = {instancePath:instancePath+"/fields/behaviour/code",schemaPath:"#/properties/fields/properties/behaviour/properties/code/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.behaviour.properties.code.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err84];
}
else {
vErrors.push(err84);
}
errors++;
}
}
if(data11.pairWithinS !== undefined){
let data31 = data11.pairWithinS;
if(typeof data31 == "number"){
if(data31 > 60 || isNaN(data31)){
const err85 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err85];
}
else {
vErrors.push(err85);
}
errors++;
}
if(data31 < 2 || isNaN(data31)){
const err86 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 2},message:"must be >= 2"};
if(vErrors === null){
vErrors = [err86];
}
else {
vErrors.push(err86);
}
errors++;
}
}
else {
const err87 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err87];
}
else {
vErrors.push(err87);
}
errors++;
}
}
if(data11.reentryS !== undefined){
let data32 = data11.reentryS;
if(typeof data32 == "number"){
if(data32 > 86400 || isNaN(data32)){
const err88 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err88];
}
else {
vErrors.push(err88);
}
errors++;
}
if(data32 < 2 || isNaN(data32)){
const err89 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 2},message:"must be >= 2"};
if(vErrors === null){
vErrors = [err89];
}
else {
vErrors.push(err89);
}
errors++;
}
}
else {
const err90 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err90];
}
else {
vErrors.push(err90);
}
errors++;
}
}
if(data11.passback !== undefined){
let data33 = data11.passback;
if(!((data33 === "refuse") || (data33 === "tell"))){
const err91 = {instancePath:instancePath+"/fields/behaviour/passback",schemaPath:"#/properties/fields/properties/behaviour/properties/passback/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.behaviour.properties.passback.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err91];
}
else {
vErrors.push(err91);
}
errors++;
}
}
if(data11.passbackS !== undefined){
let data34 = data11.passbackS;
if(typeof data34 == "number"){
if(data34 > 86400 || isNaN(data34)){
const err92 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err92];
}
else {
vErrors.push(err92);
}
errors++;
}
if(data34 < 60 || isNaN(data34)){
const err93 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 60},message:"must be >= 60"};
if(vErrors === null){
vErrors = [err93];
}
else {
vErrors.push(err93);
}
errors++;
}
}
else {
const err94 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err94];
}
else {
vErrors.push(err94);
}
errors++;
}
}
}
else {
const err95 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err95];
}
else {
vErrors.push(err95);
}
errors++;
}
}
if(data1.hardware !== undefined){
let data35 = data1.hardware;
if(data35 && typeof data35 == "object" && !Array.isArray(data35)){
for(const key5 in data35){
if(!(func2.call(schema16.properties.fields.properties.hardware.properties, key5))){
const err96 = {instancePath:instancePath+"/fields/hardware",schemaPath:"#/properties/fields/properties/hardware/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key5},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err96];
}
else {
vErrors.push(err96);
}
errors++;
}
}
if(data35.entryReader !== undefined){
let data36 = data35.entryReader;
if(typeof data36 === "string"){
if(func3(data36) > 80){
const err97 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err97];
}
else {
vErrors.push(err97);
}
errors++;
}
if(func3(data36) < 1){
const err98 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err98];
}
else {
vErrors.push(err98);
}
errors++;
}
if(!pattern0.test(data36)){
const err99 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err99];
}
else {
vErrors.push(err99);
}
errors++;
}
}
else {
const err100 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err100];
}
else {
vErrors.push(err100);
}
errors++;
}
}
if(data35.exitReader !== undefined){
let data37 = data35.exitReader;
if(typeof data37 === "string"){
if(func3(data37) > 80){
const err101 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err101];
}
else {
vErrors.push(err101);
}
errors++;
}
if(func3(data37) < 1){
const err102 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err102];
}
else {
vErrors.push(err102);
}
errors++;
}
if(!pattern0.test(data37)){
const err103 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err103];
}
else {
vErrors.push(err103);
}
errors++;
}
}
else {
const err104 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err104];
}
else {
vErrors.push(err104);
}
errors++;
}
}
if(data35.lock !== undefined){
let data38 = data35.lock;
if(typeof data38 === "string"){
if(func3(data38) > 80){
const err105 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err105];
}
else {
vErrors.push(err105);
}
errors++;
}
if(func3(data38) < 1){
const err106 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err106];
}
else {
vErrors.push(err106);
}
errors++;
}
if(!pattern0.test(data38)){
const err107 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err107];
}
else {
vErrors.push(err107);
}
errors++;
}
}
else {
const err108 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err108];
}
else {
vErrors.push(err108);
}
errors++;
}
}
if(data35.lock2 !== undefined){
let data39 = data35.lock2;
if(typeof data39 === "string"){
if(func3(data39) > 80){
const err109 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err109];
}
else {
vErrors.push(err109);
}
errors++;
}
if(func3(data39) < 1){
const err110 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err110];
}
else {
vErrors.push(err110);
}
errors++;
}
if(!pattern0.test(data39)){
const err111 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err111];
}
else {
vErrors.push(err111);
}
errors++;
}
}
else {
const err112 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err112];
}
else {
vErrors.push(err112);
}
errors++;
}
}
if(data35.contact !== undefined){
let data40 = data35.contact;
if(typeof data40 === "string"){
if(func3(data40) > 80){
const err113 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err113];
}
else {
vErrors.push(err113);
}
errors++;
}
if(func3(data40) < 1){
const err114 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err114];
}
else {
vErrors.push(err114);
}
errors++;
}
if(!pattern0.test(data40)){
const err115 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err115];
}
else {
vErrors.push(err115);
}
errors++;
}
}
else {
const err116 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err116];
}
else {
vErrors.push(err116);
}
errors++;
}
}
if(data35.contact2 !== undefined){
let data41 = data35.contact2;
if(typeof data41 === "string"){
if(func3(data41) > 80){
const err117 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err117];
}
else {
vErrors.push(err117);
}
errors++;
}
if(func3(data41) < 1){
const err118 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err118];
}
else {
vErrors.push(err118);
}
errors++;
}
if(!pattern0.test(data41)){
const err119 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err119];
}
else {
vErrors.push(err119);
}
errors++;
}
}
else {
const err120 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err120];
}
else {
vErrors.push(err120);
}
errors++;
}
}
if(data35.boltContact !== undefined){
let data42 = data35.boltContact;
if(typeof data42 === "string"){
if(func3(data42) > 80){
const err121 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err121];
}
else {
vErrors.push(err121);
}
errors++;
}
if(func3(data42) < 1){
const err122 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err122];
}
else {
vErrors.push(err122);
}
errors++;
}
if(!pattern0.test(data42)){
const err123 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err123];
}
else {
vErrors.push(err123);
}
errors++;
}
}
else {
const err124 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err124];
}
else {
vErrors.push(err124);
}
errors++;
}
}
if(data35.exit !== undefined){
let data43 = data35.exit;
if(typeof data43 === "string"){
if(func3(data43) > 80){
const err125 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err125];
}
else {
vErrors.push(err125);
}
errors++;
}
if(func3(data43) < 1){
const err126 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err126];
}
else {
vErrors.push(err126);
}
errors++;
}
if(!pattern0.test(data43)){
const err127 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err127];
}
else {
vErrors.push(err127);
}
errors++;
}
}
else {
const err128 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err128];
}
else {
vErrors.push(err128);
}
errors++;
}
}
if(data35.exitSensor !== undefined){
let data44 = data35.exitSensor;
if(typeof data44 === "string"){
if(func3(data44) > 80){
const err129 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err129];
}
else {
vErrors.push(err129);
}
errors++;
}
if(func3(data44) < 1){
const err130 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err130];
}
else {
vErrors.push(err130);
}
errors++;
}
if(!pattern0.test(data44)){
const err131 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err131];
}
else {
vErrors.push(err131);
}
errors++;
}
}
else {
const err132 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err132];
}
else {
vErrors.push(err132);
}
errors++;
}
}
if(data35.deskButton !== undefined){
let data45 = data35.deskButton;
if(typeof data45 === "string"){
if(func3(data45) > 80){
const err133 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err133];
}
else {
vErrors.push(err133);
}
errors++;
}
if(func3(data45) < 1){
const err134 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err134];
}
else {
vErrors.push(err134);
}
errors++;
}
if(!pattern0.test(data45)){
const err135 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err135];
}
else {
vErrors.push(err135);
}
errors++;
}
}
else {
const err136 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err136];
}
else {
vErrors.push(err136);
}
errors++;
}
}
if(data35.breakGlass !== undefined){
let data46 = data35.breakGlass;
if(typeof data46 === "string"){
if(func3(data46) > 80){
const err137 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err137];
}
else {
vErrors.push(err137);
}
errors++;
}
if(func3(data46) < 1){
const err138 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err138];
}
else {
vErrors.push(err138);
}
errors++;
}
if(!pattern0.test(data46)){
const err139 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err139];
}
else {
vErrors.push(err139);
}
errors++;
}
}
else {
const err140 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err140];
}
else {
vErrors.push(err140);
}
errors++;
}
}
if(data35.opener !== undefined){
let data47 = data35.opener;
if(typeof data47 === "string"){
if(func3(data47) > 80){
const err141 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err141];
}
else {
vErrors.push(err141);
}
errors++;
}
if(func3(data47) < 1){
const err142 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err142];
}
else {
vErrors.push(err142);
}
errors++;
}
if(!pattern0.test(data47)){
const err143 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err143];
}
else {
vErrors.push(err143);
}
errors++;
}
}
else {
const err144 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err144];
}
else {
vErrors.push(err144);
}
errors++;
}
}
if(data35.tamper !== undefined){
let data48 = data35.tamper;
if(typeof data48 === "string"){
if(func3(data48) > 80){
const err145 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err145];
}
else {
vErrors.push(err145);
}
errors++;
}
if(func3(data48) < 1){
const err146 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err146];
}
else {
vErrors.push(err146);
}
errors++;
}
if(!pattern0.test(data48)){
const err147 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err147];
}
else {
vErrors.push(err147);
}
errors++;
}
}
else {
const err148 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err148];
}
else {
vErrors.push(err148);
}
errors++;
}
}
if(data35.spare !== undefined){
let data49 = data35.spare;
if(typeof data49 === "string"){
if(func3(data49) > 80){
const err149 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err149];
}
else {
vErrors.push(err149);
}
errors++;
}
if(func3(data49) < 1){
const err150 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err150];
}
else {
vErrors.push(err150);
}
errors++;
}
if(!pattern0.test(data49)){
const err151 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err151];
}
else {
vErrors.push(err151);
}
errors++;
}
}
else {
const err152 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err152];
}
else {
vErrors.push(err152);
}
errors++;
}
}
if(data35.sounder !== undefined){
let data50 = data35.sounder;
if(typeof data50 === "string"){
if(func3(data50) > 80){
const err153 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err153];
}
else {
vErrors.push(err153);
}
errors++;
}
if(func3(data50) < 1){
const err154 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err154];
}
else {
vErrors.push(err154);
}
errors++;
}
if(!pattern0.test(data50)){
const err155 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err155];
}
else {
vErrors.push(err155);
}
errors++;
}
}
else {
const err156 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err156];
}
else {
vErrors.push(err156);
}
errors++;
}
}
if(data35.signal !== undefined){
let data51 = data35.signal;
if(typeof data51 === "string"){
if(func3(data51) > 80){
const err157 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err157];
}
else {
vErrors.push(err157);
}
errors++;
}
if(func3(data51) < 1){
const err158 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err158];
}
else {
vErrors.push(err158);
}
errors++;
}
if(!pattern0.test(data51)){
const err159 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err159];
}
else {
vErrors.push(err159);
}
errors++;
}
}
else {
const err160 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err160];
}
else {
vErrors.push(err160);
}
errors++;
}
}
if(data35.panelSet !== undefined){
let data52 = data35.panelSet;
if(typeof data52 === "string"){
if(func3(data52) > 80){
const err161 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err161];
}
else {
vErrors.push(err161);
}
errors++;
}
if(func3(data52) < 1){
const err162 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err162];
}
else {
vErrors.push(err162);
}
errors++;
}
if(!pattern0.test(data52)){
const err163 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err163];
}
else {
vErrors.push(err163);
}
errors++;
}
}
else {
const err164 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err164];
}
else {
vErrors.push(err164);
}
errors++;
}
}
if(data35.panelUnset !== undefined){
let data53 = data35.panelUnset;
if(typeof data53 === "string"){
if(func3(data53) > 80){
const err165 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err165];
}
else {
vErrors.push(err165);
}
errors++;
}
if(func3(data53) < 1){
const err166 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err166];
}
else {
vErrors.push(err166);
}
errors++;
}
if(!pattern0.test(data53)){
const err167 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err167];
}
else {
vErrors.push(err167);
}
errors++;
}
}
else {
const err168 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err168];
}
else {
vErrors.push(err168);
}
errors++;
}
}
if(data35.panelToggle !== undefined){
let data54 = data35.panelToggle;
if(typeof data54 === "string"){
if(func3(data54) > 80){
const err169 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err169];
}
else {
vErrors.push(err169);
}
errors++;
}
if(func3(data54) < 1){
const err170 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err170];
}
else {
vErrors.push(err170);
}
errors++;
}
if(!pattern0.test(data54)){
const err171 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err171];
}
else {
vErrors.push(err171);
}
errors++;
}
}
else {
const err172 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err172];
}
else {
vErrors.push(err172);
}
errors++;
}
}
if(data35.panelState !== undefined){
let data55 = data35.panelState;
if(typeof data55 === "string"){
if(func3(data55) > 80){
const err173 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err173];
}
else {
vErrors.push(err173);
}
errors++;
}
if(func3(data55) < 1){
const err174 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err174];
}
else {
vErrors.push(err174);
}
errors++;
}
if(!pattern0.test(data55)){
const err175 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err175];
}
else {
vErrors.push(err175);
}
errors++;
}
}
else {
const err176 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err176];
}
else {
vErrors.push(err176);
}
errors++;
}
}
}
else {
const err177 = {instancePath:instancePath+"/fields/hardware",schemaPath:"#/properties/fields/properties/hardware/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err177];
}
else {
vErrors.push(err177);
}
errors++;
}
}
if(data1.opening !== undefined){
let data56 = data1.opening;
if(!(((((((((data56 === "door") || (data56 === "doubleDoor")) || (data56 === "gate")) || (data56 === "shutter")) || (data56 === "turnstile")) || (data56 === "cabinet")) || (data56 === "locker")) || (data56 === "padlock")) || (data56 === "liftCall"))){
const err178 = {instancePath:instancePath+"/fields/opening",schemaPath:"#/properties/fields/properties/opening/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.opening.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err178];
}
else {
vErrors.push(err178);
}
errors++;
}
}
if(data1.outdoor !== undefined){
if(typeof data1.outdoor !== "boolean"){
const err179 = {instancePath:instancePath+"/fields/outdoor",schemaPath:"#/properties/fields/properties/outdoor/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err179];
}
else {
vErrors.push(err179);
}
errors++;
}
}
if(data1.pinned !== undefined){
if(typeof data1.pinned !== "boolean"){
const err180 = {instancePath:instancePath+"/fields/pinned",schemaPath:"#/properties/fields/properties/pinned/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err180];
}
else {
vErrors.push(err180);
}
errors++;
}
}
if(data1.decides !== undefined){
let data59 = data1.decides;
if(data59 && typeof data59 == "object" && !Array.isArray(data59)){
if(!(false)){
if(data59.by === undefined){
const err181 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "by"},message:"must have required property '"+"by"+"'"};
if(vErrors === null){
vErrors = [err181];
}
else {
vErrors.push(err181);
}
errors++;
}
}
if(!(false)){
if(data59.afterS === undefined){
const err182 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "afterS"},message:"must have required property '"+"afterS"+"'"};
if(vErrors === null){
vErrors = [err182];
}
else {
vErrors.push(err182);
}
errors++;
}
}
if(!(false)){
if(data59.then === undefined){
const err183 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "then"},message:"must have required property '"+"then"+"'"};
if(vErrors === null){
vErrors = [err183];
}
else {
vErrors.push(err183);
}
errors++;
}
}
for(const key6 in data59){
if(!(((key6 === "by") || (key6 === "afterS")) || (key6 === "then"))){
const err184 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key6},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err184];
}
else {
vErrors.push(err184);
}
errors++;
}
}
if(data59.by !== undefined){
let data60 = data59.by;
if(!((((data60 === "reader") || (data60 === "lock")) || (data60 === "controller")) || (data60 === "server"))){
const err185 = {instancePath:instancePath+"/fields/decides/by",schemaPath:"#/properties/fields/properties/decides/properties/by/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.decides.properties.by.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err185];
}
else {
vErrors.push(err185);
}
errors++;
}
}
if(data59.afterS !== undefined){
let data61 = data59.afterS;
if(typeof data61 == "number"){
if(data61 > 3600 || isNaN(data61)){
const err186 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err186];
}
else {
vErrors.push(err186);
}
errors++;
}
if(data61 < 0 || isNaN(data61)){
const err187 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err187];
}
else {
vErrors.push(err187);
}
errors++;
}
}
else {
const err188 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err188];
}
else {
vErrors.push(err188);
}
errors++;
}
}
if(data59.then !== undefined){
let data62 = data59.then;
if(!(((data62 === "staysShut") || (data62 === "opens")) || (data62 === "knownCards"))){
const err189 = {instancePath:instancePath+"/fields/decides/then",schemaPath:"#/properties/fields/properties/decides/properties/then/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.decides.properties.then.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err189];
}
else {
vErrors.push(err189);
}
errors++;
}
}
}
else {
const err190 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err190];
}
else {
vErrors.push(err190);
}
errors++;
}
}
if(data1.ends !== undefined){
let data63 = data1.ends;
if(data63 && typeof data63 == "object" && !Array.isArray(data63)){
if(!(false)){
if(data63.seriesOhm === undefined){
const err191 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "seriesOhm"},message:"must have required property '"+"seriesOhm"+"'"};
if(vErrors === null){
vErrors = [err191];
}
else {
vErrors.push(err191);
}
errors++;
}
}
if(!(false)){
if(data63.parallelOhm === undefined){
const err192 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "parallelOhm"},message:"must have required property '"+"parallelOhm"+"'"};
if(vErrors === null){
vErrors = [err192];
}
else {
vErrors.push(err192);
}
errors++;
}
}
if(!(false)){
if(data63.at === undefined){
const err193 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "at"},message:"must have required property '"+"at"+"'"};
if(vErrors === null){
vErrors = [err193];
}
else {
vErrors.push(err193);
}
errors++;
}
}
for(const key7 in data63){
if(!(((key7 === "seriesOhm") || (key7 === "parallelOhm")) || (key7 === "at"))){
const err194 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key7},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err194];
}
else {
vErrors.push(err194);
}
errors++;
}
}
if(data63.seriesOhm !== undefined){
let data64 = data63.seriesOhm;
if(typeof data64 == "number"){
if(data64 > 100000 || isNaN(data64)){
const err195 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err195];
}
else {
vErrors.push(err195);
}
errors++;
}
if(data64 < 0 || isNaN(data64)){
const err196 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err196];
}
else {
vErrors.push(err196);
}
errors++;
}
}
else {
const err197 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err197];
}
else {
vErrors.push(err197);
}
errors++;
}
}
if(data63.parallelOhm !== undefined){
let data65 = data63.parallelOhm;
if(typeof data65 == "number"){
if(data65 > 100000 || isNaN(data65)){
const err198 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err198];
}
else {
vErrors.push(err198);
}
errors++;
}
if(data65 < 0 || isNaN(data65)){
const err199 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err199];
}
else {
vErrors.push(err199);
}
errors++;
}
}
else {
const err200 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err200];
}
else {
vErrors.push(err200);
}
errors++;
}
}
if(data63.at !== undefined){
let data66 = data63.at;
if(!((data66 === "device") || (data66 === "controller"))){
const err201 = {instancePath:instancePath+"/fields/ends/at",schemaPath:"#/properties/fields/properties/ends/properties/at/enum",keyword:"enum",params:{allowedValues: schema16.properties.fields.properties.ends.properties.at.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err201];
}
else {
vErrors.push(err201);
}
errors++;
}
}
}
else {
const err202 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err202];
}
else {
vErrors.push(err202);
}
errors++;
}
}
if(data1.drive !== undefined){
let data67 = data1.drive;
if(data67 && typeof data67 == "object" && !Array.isArray(data67)){
if(!(false)){
if(data67.pullMs === undefined){
const err203 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/required",keyword:"required",params:{missingProperty: "pullMs"},message:"must have required property '"+"pullMs"+"'"};
if(vErrors === null){
vErrors = [err203];
}
else {
vErrors.push(err203);
}
errors++;
}
}
if(!(false)){
if(data67.holdShare === undefined){
const err204 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/required",keyword:"required",params:{missingProperty: "holdShare"},message:"must have required property '"+"holdShare"+"'"};
if(vErrors === null){
vErrors = [err204];
}
else {
vErrors.push(err204);
}
errors++;
}
}
for(const key8 in data67){
if(!((key8 === "pullMs") || (key8 === "holdShare"))){
const err205 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key8},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err205];
}
else {
vErrors.push(err205);
}
errors++;
}
}
if(data67.pullMs !== undefined){
let data68 = data67.pullMs;
if(typeof data68 == "number"){
if(data68 > 5000 || isNaN(data68)){
const err206 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/maximum",keyword:"maximum",params:{comparison: "<=", limit: 5000},message:"must be <= 5000"};
if(vErrors === null){
vErrors = [err206];
}
else {
vErrors.push(err206);
}
errors++;
}
if(data68 < 20 || isNaN(data68)){
const err207 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/minimum",keyword:"minimum",params:{comparison: ">=", limit: 20},message:"must be >= 20"};
if(vErrors === null){
vErrors = [err207];
}
else {
vErrors.push(err207);
}
errors++;
}
}
else {
const err208 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err208];
}
else {
vErrors.push(err208);
}
errors++;
}
}
if(data67.holdShare !== undefined){
let data69 = data67.holdShare;
if(typeof data69 == "number"){
if(data69 > 1 || isNaN(data69)){
const err209 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/maximum",keyword:"maximum",params:{comparison: "<=", limit: 1},message:"must be <= 1"};
if(vErrors === null){
vErrors = [err209];
}
else {
vErrors.push(err209);
}
errors++;
}
if(data69 < 0.05 || isNaN(data69)){
const err210 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.05},message:"must be >= 0.05"};
if(vErrors === null){
vErrors = [err210];
}
else {
vErrors.push(err210);
}
errors++;
}
}
else {
const err211 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err211];
}
else {
vErrors.push(err211);
}
errors++;
}
}
}
else {
const err212 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err212];
}
else {
vErrors.push(err212);
}
errors++;
}
}
if(data1.distances !== undefined){
let data70 = data1.distances;
if(data70 && typeof data70 == "object" && !Array.isArray(data70)){
if(Object.keys(data70).length > 100){
const err213 = {instancePath:instancePath+"/fields/distances",schemaPath:"#/properties/fields/properties/distances/maxProperties",keyword:"maxProperties",params:{limit: 100},message:"must NOT have more than 100 properties"};
if(vErrors === null){
vErrors = [err213];
}
else {
vErrors.push(err213);
}
errors++;
}
for(const key9 in data70){
let data71 = data70[key9];
if(typeof data71 == "number"){
if(data71 > 2000 || isNaN(data71)){
const err214 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/maximum",keyword:"maximum",params:{comparison: "<=", limit: 2000},message:"must be <= 2000"};
if(vErrors === null){
vErrors = [err214];
}
else {
vErrors.push(err214);
}
errors++;
}
if(data71 < 0 || isNaN(data71)){
const err215 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err215];
}
else {
vErrors.push(err215);
}
errors++;
}
}
else {
const err216 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err216];
}
else {
vErrors.push(err216);
}
errors++;
}
}
}
else {
const err217 = {instancePath:instancePath+"/fields/distances",schemaPath:"#/properties/fields/properties/distances/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err217];
}
else {
vErrors.push(err217);
}
errors++;
}
}
if(data1.at !== undefined){
let data72 = data1.at;
if(data72 && typeof data72 == "object" && !Array.isArray(data72)){
if(!(false)){
if(data72.x === undefined){
const err218 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/required",keyword:"required",params:{missingProperty: "x"},message:"must have required property '"+"x"+"'"};
if(vErrors === null){
vErrors = [err218];
}
else {
vErrors.push(err218);
}
errors++;
}
}
if(!(false)){
if(data72.y === undefined){
const err219 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/required",keyword:"required",params:{missingProperty: "y"},message:"must have required property '"+"y"+"'"};
if(vErrors === null){
vErrors = [err219];
}
else {
vErrors.push(err219);
}
errors++;
}
}
for(const key10 in data72){
if(!((key10 === "x") || (key10 === "y"))){
const err220 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key10},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err220];
}
else {
vErrors.push(err220);
}
errors++;
}
}
if(data72.x !== undefined){
let data73 = data72.x;
if(typeof data73 == "number"){
if(data73 > 100000 || isNaN(data73)){
const err221 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err221];
}
else {
vErrors.push(err221);
}
errors++;
}
if(data73 < -100000 || isNaN(data73)){
const err222 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/minimum",keyword:"minimum",params:{comparison: ">=", limit: -100000},message:"must be >= -100000"};
if(vErrors === null){
vErrors = [err222];
}
else {
vErrors.push(err222);
}
errors++;
}
}
else {
const err223 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err223];
}
else {
vErrors.push(err223);
}
errors++;
}
}
if(data72.y !== undefined){
let data74 = data72.y;
if(typeof data74 == "number"){
if(data74 > 100000 || isNaN(data74)){
const err224 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err224];
}
else {
vErrors.push(err224);
}
errors++;
}
if(data74 < -100000 || isNaN(data74)){
const err225 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/minimum",keyword:"minimum",params:{comparison: ">=", limit: -100000},message:"must be >= -100000"};
if(vErrors === null){
vErrors = [err225];
}
else {
vErrors.push(err225);
}
errors++;
}
}
else {
const err226 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err226];
}
else {
vErrors.push(err226);
}
errors++;
}
}
}
else {
const err227 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err227];
}
else {
vErrors.push(err227);
}
errors++;
}
}
}
else {
const err228 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err228];
}
else {
vErrors.push(err228);
}
errors++;
}
}
}
else {
const err229 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err229];
}
else {
vErrors.push(err229);
}
errors++;
}
validate15.errors = vErrors;
return errors === 0;
}

export const door_edit = validate16;
const schema17 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"fields":{"type":"object","additionalProperties":false,"properties":{"ref":{"type":"string","pattern":"^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"},"name":{"type":"string","minLength":1,"maxLength":120},"from":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"to":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"escapeRoute":{"type":"boolean"},"passagesPerDay":{"type":"integer","minimum":0,"maximum":100000},"walk":{"type":"integer"},"handle":{"type":"boolean"},"otherWayOut":{"type":"boolean"},"behaviour":{"type":"object","additionalProperties":false,"properties":{"releaseS":{"type":"number","minimum":0.5,"maximum":3600},"heldOpenS":{"type":"number","minimum":1,"maximum":3600},"relockDelayS":{"type":"number","minimum":0,"maximum":3600},"contactIdle":{"enum":["closed","open"]},"exitIdle":{"enum":["closed","open"]},"forcedAlarm":{"type":"boolean"},"openerAfterS":{"type":"number","minimum":0,"maximum":60},"deskReleaseS":{"type":"number","minimum":0.5,"maximum":3600},"longReleaseS":{"type":"number","minimum":0.5,"maximum":3600},"longOpenS":{"type":"number","minimum":1,"maximum":3600},"idle":{"type":"object","maxProperties":40,"propertyNames":{"pattern":"^[A-Z][0-9]{1,2}$"},"additionalProperties":{"enum":["closed","open"]}},"preAlarmS":{"type":"number","minimum":1,"maximum":3600},"unlockAfterS":{"type":"number","minimum":1,"maximum":60},"relockAt":{"const":"opening"},"freeOn":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"barredOn":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"firstPerson":{"const":true},"code":{"enum":["with","instead","alone"]},"pairWithinS":{"type":"number","minimum":2,"maximum":60},"reentryS":{"type":"number","minimum":2,"maximum":86400},"passback":{"enum":["refuse","tell"]},"passbackS":{"type":"number","minimum":60,"maximum":86400}},"required":["releaseS","heldOpenS","relockDelayS","contactIdle","exitIdle","forcedAlarm"]},"hardware":{"type":"object","additionalProperties":false,"properties":{"entryReader":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exitReader":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lock":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lock2":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"contact":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"contact2":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"boltContact":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exit":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"exitSensor":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"deskButton":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"breakGlass":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"opener":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"tamper":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"spare":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"sounder":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"signal":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelSet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelUnset":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelToggle":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"panelState":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":[]},"opening":{"enum":["door","doubleDoor","gate","shutter","turnstile","cabinet","locker","padlock","liftCall"]},"outdoor":{"type":"boolean"},"pinned":{"type":"boolean"},"decides":{"type":"object","additionalProperties":false,"properties":{"by":{"enum":["reader","lock","controller","server"]},"afterS":{"type":"number","minimum":0,"maximum":3600},"then":{"enum":["staysShut","opens","knownCards"]}},"required":["by","afterS","then"]},"ends":{"type":"object","additionalProperties":false,"properties":{"seriesOhm":{"type":"number","minimum":0,"maximum":100000},"parallelOhm":{"type":"number","minimum":0,"maximum":100000},"at":{"enum":["device","controller"]}},"required":["seriesOhm","parallelOhm","at"]},"drive":{"type":"object","additionalProperties":false,"properties":{"pullMs":{"type":"number","minimum":20,"maximum":5000},"holdShare":{"type":"number","minimum":0.05,"maximum":1}},"required":["pullMs","holdShare"]},"distances":{"type":"object","maxProperties":100,"additionalProperties":{"type":"number","minimum":0,"maximum":2000}},"at":{"type":"object","additionalProperties":false,"properties":{"x":{"type":"number","minimum":-100000,"maximum":100000},"y":{"type":"number","minimum":-100000,"maximum":100000}},"required":["x","y"]}},"required":[]}},"required":["id","fields"]};

function validate16(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.fields === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "fields"},message:"must have required property '"+"fields"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!((key0 === "id") || (key0 === "fields"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err3 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data0) < 1){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(!pattern0.test(data0)){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.fields !== undefined){
let data1 = data.fields;
if(data1 && typeof data1 == "object" && !Array.isArray(data1)){
for(const key1 in data1){
if(!(func2.call(schema17.properties.fields.properties, key1))){
const err7 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data1.ref !== undefined){
let data2 = data1.ref;
if(typeof data2 === "string"){
if(!pattern17.test(data2)){
const err8 = {instancePath:instancePath+"/fields/ref",schemaPath:"#/properties/fields/properties/ref/pattern",keyword:"pattern",params:{pattern: "^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"},message:"must match pattern \""+"^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$"+"\""};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/fields/ref",schemaPath:"#/properties/fields/properties/ref/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data1.name !== undefined){
let data3 = data1.name;
if(typeof data3 === "string"){
if(func3(data3) > 120){
const err10 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(func3(data3) < 1){
const err11 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/fields/name",schemaPath:"#/properties/fields/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data1.from !== undefined){
let data4 = data1.from;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err13 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(func3(data4) < 1){
const err14 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(!pattern0.test(data4)){
const err15 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(data1.to !== undefined){
let data5 = data1.to;
if(typeof data5 === "string"){
if(func3(data5) > 80){
const err17 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(func3(data5) < 1){
const err18 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(!pattern0.test(data5)){
const err19 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data1.escapeRoute !== undefined){
if(typeof data1.escapeRoute !== "boolean"){
const err21 = {instancePath:instancePath+"/fields/escapeRoute",schemaPath:"#/properties/fields/properties/escapeRoute/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data1.passagesPerDay !== undefined){
let data7 = data1.passagesPerDay;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err22 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
if(typeof data7 == "number"){
if(data7 > 100000 || isNaN(data7)){
const err23 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
if(data7 < 0 || isNaN(data7)){
const err24 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
}
if(data1.walk !== undefined){
let data8 = data1.walk;
if(!((typeof data8 == "number") && (!(data8 % 1) && !isNaN(data8)))){
const err25 = {instancePath:instancePath+"/fields/walk",schemaPath:"#/properties/fields/properties/walk/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data1.handle !== undefined){
if(typeof data1.handle !== "boolean"){
const err26 = {instancePath:instancePath+"/fields/handle",schemaPath:"#/properties/fields/properties/handle/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(data1.otherWayOut !== undefined){
if(typeof data1.otherWayOut !== "boolean"){
const err27 = {instancePath:instancePath+"/fields/otherWayOut",schemaPath:"#/properties/fields/properties/otherWayOut/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
if(data1.behaviour !== undefined){
let data11 = data1.behaviour;
if(data11 && typeof data11 == "object" && !Array.isArray(data11)){
if(!(false)){
if(data11.releaseS === undefined){
const err28 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "releaseS"},message:"must have required property '"+"releaseS"+"'"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
if(!(false)){
if(data11.heldOpenS === undefined){
const err29 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "heldOpenS"},message:"must have required property '"+"heldOpenS"+"'"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(!(false)){
if(data11.relockDelayS === undefined){
const err30 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "relockDelayS"},message:"must have required property '"+"relockDelayS"+"'"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(!(false)){
if(data11.contactIdle === undefined){
const err31 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "contactIdle"},message:"must have required property '"+"contactIdle"+"'"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
if(!(false)){
if(data11.exitIdle === undefined){
const err32 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "exitIdle"},message:"must have required property '"+"exitIdle"+"'"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
if(!(false)){
if(data11.forcedAlarm === undefined){
const err33 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/required",keyword:"required",params:{missingProperty: "forcedAlarm"},message:"must have required property '"+"forcedAlarm"+"'"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
for(const key2 in data11){
if(!(func2.call(schema17.properties.fields.properties.behaviour.properties, key2))){
const err34 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(data11.releaseS !== undefined){
let data12 = data11.releaseS;
if(typeof data12 == "number"){
if(data12 > 3600 || isNaN(data12)){
const err35 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
if(data12 < 0.5 || isNaN(data12)){
const err36 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
else {
const err37 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
if(data11.heldOpenS !== undefined){
let data13 = data11.heldOpenS;
if(typeof data13 == "number"){
if(data13 > 3600 || isNaN(data13)){
const err38 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
if(data13 < 1 || isNaN(data13)){
const err39 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
else {
const err40 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
if(data11.relockDelayS !== undefined){
let data14 = data11.relockDelayS;
if(typeof data14 == "number"){
if(data14 > 3600 || isNaN(data14)){
const err41 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
if(data14 < 0 || isNaN(data14)){
const err42 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
else {
const err43 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
if(data11.contactIdle !== undefined){
let data15 = data11.contactIdle;
if(!((data15 === "closed") || (data15 === "open"))){
const err44 = {instancePath:instancePath+"/fields/behaviour/contactIdle",schemaPath:"#/properties/fields/properties/behaviour/properties/contactIdle/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.behaviour.properties.contactIdle.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
}
if(data11.exitIdle !== undefined){
let data16 = data11.exitIdle;
if(!((data16 === "closed") || (data16 === "open"))){
const err45 = {instancePath:instancePath+"/fields/behaviour/exitIdle",schemaPath:"#/properties/fields/properties/behaviour/properties/exitIdle/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.behaviour.properties.exitIdle.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
if(data11.forcedAlarm !== undefined){
if(typeof data11.forcedAlarm !== "boolean"){
const err46 = {instancePath:instancePath+"/fields/behaviour/forcedAlarm",schemaPath:"#/properties/fields/properties/behaviour/properties/forcedAlarm/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
if(data11.openerAfterS !== undefined){
let data18 = data11.openerAfterS;
if(typeof data18 == "number"){
if(data18 > 60 || isNaN(data18)){
const err47 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
if(data18 < 0 || isNaN(data18)){
const err48 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
}
else {
const err49 = {instancePath:instancePath+"/fields/behaviour/openerAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/openerAfterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
}
if(data11.deskReleaseS !== undefined){
let data19 = data11.deskReleaseS;
if(typeof data19 == "number"){
if(data19 > 3600 || isNaN(data19)){
const err50 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
if(data19 < 0.5 || isNaN(data19)){
const err51 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
}
else {
const err52 = {instancePath:instancePath+"/fields/behaviour/deskReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/deskReleaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
}
if(data11.longReleaseS !== undefined){
let data20 = data11.longReleaseS;
if(typeof data20 == "number"){
if(data20 > 3600 || isNaN(data20)){
const err53 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
if(data20 < 0.5 || isNaN(data20)){
const err54 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
}
else {
const err55 = {instancePath:instancePath+"/fields/behaviour/longReleaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/longReleaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
if(data11.longOpenS !== undefined){
let data21 = data11.longOpenS;
if(typeof data21 == "number"){
if(data21 > 3600 || isNaN(data21)){
const err56 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
if(data21 < 1 || isNaN(data21)){
const err57 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
}
else {
const err58 = {instancePath:instancePath+"/fields/behaviour/longOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/longOpenS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
}
if(data11.idle !== undefined){
let data22 = data11.idle;
if(data22 && typeof data22 == "object" && !Array.isArray(data22)){
if(Object.keys(data22).length > 40){
const err59 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/maxProperties",keyword:"maxProperties",params:{limit: 40},message:"must NOT have more than 40 properties"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
for(const key3 in data22){
const _errs48 = errors;
if(typeof key3 === "string"){
if(!pattern20.test(key3)){
const err60 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/propertyNames/pattern",keyword:"pattern",params:{pattern: "^[A-Z][0-9]{1,2}$"},message:"must match pattern \""+"^[A-Z][0-9]{1,2}$"+"\"",propertyName:key3};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
}
var valid3 = _errs48 === errors;
if(!valid3){
const err61 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/propertyNames",keyword:"propertyNames",params:{propertyName: key3},message:"property name must be valid"};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
}
for(const key4 in data22){
let data23 = data22[key4];
if(!((data23 === "closed") || (data23 === "open"))){
const err62 = {instancePath:instancePath+"/fields/behaviour/idle/" + key4.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/behaviour/properties/idle/additionalProperties/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.behaviour.properties.idle.additionalProperties.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
}
}
else {
const err63 = {instancePath:instancePath+"/fields/behaviour/idle",schemaPath:"#/properties/fields/properties/behaviour/properties/idle/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
}
if(data11.preAlarmS !== undefined){
let data24 = data11.preAlarmS;
if(typeof data24 == "number"){
if(data24 > 3600 || isNaN(data24)){
const err64 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
if(data24 < 1 || isNaN(data24)){
const err65 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
}
else {
const err66 = {instancePath:instancePath+"/fields/behaviour/preAlarmS",schemaPath:"#/properties/fields/properties/behaviour/properties/preAlarmS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
}
if(data11.unlockAfterS !== undefined){
let data25 = data11.unlockAfterS;
if(typeof data25 == "number"){
if(data25 > 60 || isNaN(data25)){
const err67 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
if(data25 < 1 || isNaN(data25)){
const err68 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err68];
}
else {
vErrors.push(err68);
}
errors++;
}
}
else {
const err69 = {instancePath:instancePath+"/fields/behaviour/unlockAfterS",schemaPath:"#/properties/fields/properties/behaviour/properties/unlockAfterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
}
if(data11.relockAt !== undefined){
if("opening" !== data11.relockAt){
const err70 = {instancePath:instancePath+"/fields/behaviour/relockAt",schemaPath:"#/properties/fields/properties/behaviour/properties/relockAt/const",keyword:"const",params:{allowedValue: "opening"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err70];
}
else {
vErrors.push(err70);
}
errors++;
}
}
if(data11.freeOn !== undefined){
let data27 = data11.freeOn;
if(typeof data27 === "string"){
if(func3(data27) > 80){
const err71 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err71];
}
else {
vErrors.push(err71);
}
errors++;
}
if(func3(data27) < 1){
const err72 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err72];
}
else {
vErrors.push(err72);
}
errors++;
}
if(!pattern0.test(data27)){
const err73 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err73];
}
else {
vErrors.push(err73);
}
errors++;
}
}
else {
const err74 = {instancePath:instancePath+"/fields/behaviour/freeOn",schemaPath:"#/properties/fields/properties/behaviour/properties/freeOn/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err74];
}
else {
vErrors.push(err74);
}
errors++;
}
}
if(data11.barredOn !== undefined){
let data28 = data11.barredOn;
if(typeof data28 === "string"){
if(func3(data28) > 80){
const err75 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err75];
}
else {
vErrors.push(err75);
}
errors++;
}
if(func3(data28) < 1){
const err76 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err76];
}
else {
vErrors.push(err76);
}
errors++;
}
if(!pattern0.test(data28)){
const err77 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err77];
}
else {
vErrors.push(err77);
}
errors++;
}
}
else {
const err78 = {instancePath:instancePath+"/fields/behaviour/barredOn",schemaPath:"#/properties/fields/properties/behaviour/properties/barredOn/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err78];
}
else {
vErrors.push(err78);
}
errors++;
}
}
if(data11.firstPerson !== undefined){
if(true !== data11.firstPerson){
const err79 = {instancePath:instancePath+"/fields/behaviour/firstPerson",schemaPath:"#/properties/fields/properties/behaviour/properties/firstPerson/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err79];
}
else {
vErrors.push(err79);
}
errors++;
}
}
if(data11.code !== undefined){
let data30 = data11.code;
if(!(((data30 === "with") || (data30 === "instead")) || (data30 === "alone"))){
const err80 = {instancePath:instancePath+"/fields/behaviour/code",schemaPath:"#/properties/fields/properties/behaviour/properties/code/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.behaviour.properties.code.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err80];
}
else {
vErrors.push(err80);
}
errors++;
}
}
if(data11.pairWithinS !== undefined){
let data31 = data11.pairWithinS;
if(typeof data31 == "number"){
if(data31 > 60 || isNaN(data31)){
const err81 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 60},message:"must be <= 60"};
if(vErrors === null){
vErrors = [err81];
}
else {
vErrors.push(err81);
}
errors++;
}
if(data31 < 2 || isNaN(data31)){
const err82 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 2},message:"must be >= 2"};
if(vErrors === null){
vErrors = [err82];
}
else {
vErrors.push(err82);
}
errors++;
}
}
else {
const err83 = {instancePath:instancePath+"/fields/behaviour/pairWithinS",schemaPath:"#/properties/fields/properties/behaviour/properties/pairWithinS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err83];
}
else {
vErrors.push(err83);
}
errors++;
}
}
if(data11.reentryS !== undefined){
let data32 = data11.reentryS;
if(typeof data32 == "number"){
if(data32 > 86400 || isNaN(data32)){
const err84 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err84];
}
else {
vErrors.push(err84);
}
errors++;
}
if(data32 < 2 || isNaN(data32)){
const err85 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 2},message:"must be >= 2"};
if(vErrors === null){
vErrors = [err85];
}
else {
vErrors.push(err85);
}
errors++;
}
}
else {
const err86 = {instancePath:instancePath+"/fields/behaviour/reentryS",schemaPath:"#/properties/fields/properties/behaviour/properties/reentryS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err86];
}
else {
vErrors.push(err86);
}
errors++;
}
}
if(data11.passback !== undefined){
let data33 = data11.passback;
if(!((data33 === "refuse") || (data33 === "tell"))){
const err87 = {instancePath:instancePath+"/fields/behaviour/passback",schemaPath:"#/properties/fields/properties/behaviour/properties/passback/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.behaviour.properties.passback.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err87];
}
else {
vErrors.push(err87);
}
errors++;
}
}
if(data11.passbackS !== undefined){
let data34 = data11.passbackS;
if(typeof data34 == "number"){
if(data34 > 86400 || isNaN(data34)){
const err88 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 86400},message:"must be <= 86400"};
if(vErrors === null){
vErrors = [err88];
}
else {
vErrors.push(err88);
}
errors++;
}
if(data34 < 60 || isNaN(data34)){
const err89 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 60},message:"must be >= 60"};
if(vErrors === null){
vErrors = [err89];
}
else {
vErrors.push(err89);
}
errors++;
}
}
else {
const err90 = {instancePath:instancePath+"/fields/behaviour/passbackS",schemaPath:"#/properties/fields/properties/behaviour/properties/passbackS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err90];
}
else {
vErrors.push(err90);
}
errors++;
}
}
}
else {
const err91 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err91];
}
else {
vErrors.push(err91);
}
errors++;
}
}
if(data1.hardware !== undefined){
let data35 = data1.hardware;
if(data35 && typeof data35 == "object" && !Array.isArray(data35)){
for(const key5 in data35){
if(!(func2.call(schema17.properties.fields.properties.hardware.properties, key5))){
const err92 = {instancePath:instancePath+"/fields/hardware",schemaPath:"#/properties/fields/properties/hardware/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key5},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err92];
}
else {
vErrors.push(err92);
}
errors++;
}
}
if(data35.entryReader !== undefined){
let data36 = data35.entryReader;
if(typeof data36 === "string"){
if(func3(data36) > 80){
const err93 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err93];
}
else {
vErrors.push(err93);
}
errors++;
}
if(func3(data36) < 1){
const err94 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err94];
}
else {
vErrors.push(err94);
}
errors++;
}
if(!pattern0.test(data36)){
const err95 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err95];
}
else {
vErrors.push(err95);
}
errors++;
}
}
else {
const err96 = {instancePath:instancePath+"/fields/hardware/entryReader",schemaPath:"#/properties/fields/properties/hardware/properties/entryReader/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err96];
}
else {
vErrors.push(err96);
}
errors++;
}
}
if(data35.exitReader !== undefined){
let data37 = data35.exitReader;
if(typeof data37 === "string"){
if(func3(data37) > 80){
const err97 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err97];
}
else {
vErrors.push(err97);
}
errors++;
}
if(func3(data37) < 1){
const err98 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err98];
}
else {
vErrors.push(err98);
}
errors++;
}
if(!pattern0.test(data37)){
const err99 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err99];
}
else {
vErrors.push(err99);
}
errors++;
}
}
else {
const err100 = {instancePath:instancePath+"/fields/hardware/exitReader",schemaPath:"#/properties/fields/properties/hardware/properties/exitReader/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err100];
}
else {
vErrors.push(err100);
}
errors++;
}
}
if(data35.lock !== undefined){
let data38 = data35.lock;
if(typeof data38 === "string"){
if(func3(data38) > 80){
const err101 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err101];
}
else {
vErrors.push(err101);
}
errors++;
}
if(func3(data38) < 1){
const err102 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err102];
}
else {
vErrors.push(err102);
}
errors++;
}
if(!pattern0.test(data38)){
const err103 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err103];
}
else {
vErrors.push(err103);
}
errors++;
}
}
else {
const err104 = {instancePath:instancePath+"/fields/hardware/lock",schemaPath:"#/properties/fields/properties/hardware/properties/lock/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err104];
}
else {
vErrors.push(err104);
}
errors++;
}
}
if(data35.lock2 !== undefined){
let data39 = data35.lock2;
if(typeof data39 === "string"){
if(func3(data39) > 80){
const err105 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err105];
}
else {
vErrors.push(err105);
}
errors++;
}
if(func3(data39) < 1){
const err106 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err106];
}
else {
vErrors.push(err106);
}
errors++;
}
if(!pattern0.test(data39)){
const err107 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err107];
}
else {
vErrors.push(err107);
}
errors++;
}
}
else {
const err108 = {instancePath:instancePath+"/fields/hardware/lock2",schemaPath:"#/properties/fields/properties/hardware/properties/lock2/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err108];
}
else {
vErrors.push(err108);
}
errors++;
}
}
if(data35.contact !== undefined){
let data40 = data35.contact;
if(typeof data40 === "string"){
if(func3(data40) > 80){
const err109 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err109];
}
else {
vErrors.push(err109);
}
errors++;
}
if(func3(data40) < 1){
const err110 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err110];
}
else {
vErrors.push(err110);
}
errors++;
}
if(!pattern0.test(data40)){
const err111 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err111];
}
else {
vErrors.push(err111);
}
errors++;
}
}
else {
const err112 = {instancePath:instancePath+"/fields/hardware/contact",schemaPath:"#/properties/fields/properties/hardware/properties/contact/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err112];
}
else {
vErrors.push(err112);
}
errors++;
}
}
if(data35.contact2 !== undefined){
let data41 = data35.contact2;
if(typeof data41 === "string"){
if(func3(data41) > 80){
const err113 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err113];
}
else {
vErrors.push(err113);
}
errors++;
}
if(func3(data41) < 1){
const err114 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err114];
}
else {
vErrors.push(err114);
}
errors++;
}
if(!pattern0.test(data41)){
const err115 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err115];
}
else {
vErrors.push(err115);
}
errors++;
}
}
else {
const err116 = {instancePath:instancePath+"/fields/hardware/contact2",schemaPath:"#/properties/fields/properties/hardware/properties/contact2/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err116];
}
else {
vErrors.push(err116);
}
errors++;
}
}
if(data35.boltContact !== undefined){
let data42 = data35.boltContact;
if(typeof data42 === "string"){
if(func3(data42) > 80){
const err117 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err117];
}
else {
vErrors.push(err117);
}
errors++;
}
if(func3(data42) < 1){
const err118 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err118];
}
else {
vErrors.push(err118);
}
errors++;
}
if(!pattern0.test(data42)){
const err119 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err119];
}
else {
vErrors.push(err119);
}
errors++;
}
}
else {
const err120 = {instancePath:instancePath+"/fields/hardware/boltContact",schemaPath:"#/properties/fields/properties/hardware/properties/boltContact/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err120];
}
else {
vErrors.push(err120);
}
errors++;
}
}
if(data35.exit !== undefined){
let data43 = data35.exit;
if(typeof data43 === "string"){
if(func3(data43) > 80){
const err121 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err121];
}
else {
vErrors.push(err121);
}
errors++;
}
if(func3(data43) < 1){
const err122 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err122];
}
else {
vErrors.push(err122);
}
errors++;
}
if(!pattern0.test(data43)){
const err123 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err123];
}
else {
vErrors.push(err123);
}
errors++;
}
}
else {
const err124 = {instancePath:instancePath+"/fields/hardware/exit",schemaPath:"#/properties/fields/properties/hardware/properties/exit/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err124];
}
else {
vErrors.push(err124);
}
errors++;
}
}
if(data35.exitSensor !== undefined){
let data44 = data35.exitSensor;
if(typeof data44 === "string"){
if(func3(data44) > 80){
const err125 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err125];
}
else {
vErrors.push(err125);
}
errors++;
}
if(func3(data44) < 1){
const err126 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err126];
}
else {
vErrors.push(err126);
}
errors++;
}
if(!pattern0.test(data44)){
const err127 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err127];
}
else {
vErrors.push(err127);
}
errors++;
}
}
else {
const err128 = {instancePath:instancePath+"/fields/hardware/exitSensor",schemaPath:"#/properties/fields/properties/hardware/properties/exitSensor/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err128];
}
else {
vErrors.push(err128);
}
errors++;
}
}
if(data35.deskButton !== undefined){
let data45 = data35.deskButton;
if(typeof data45 === "string"){
if(func3(data45) > 80){
const err129 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err129];
}
else {
vErrors.push(err129);
}
errors++;
}
if(func3(data45) < 1){
const err130 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err130];
}
else {
vErrors.push(err130);
}
errors++;
}
if(!pattern0.test(data45)){
const err131 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err131];
}
else {
vErrors.push(err131);
}
errors++;
}
}
else {
const err132 = {instancePath:instancePath+"/fields/hardware/deskButton",schemaPath:"#/properties/fields/properties/hardware/properties/deskButton/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err132];
}
else {
vErrors.push(err132);
}
errors++;
}
}
if(data35.breakGlass !== undefined){
let data46 = data35.breakGlass;
if(typeof data46 === "string"){
if(func3(data46) > 80){
const err133 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err133];
}
else {
vErrors.push(err133);
}
errors++;
}
if(func3(data46) < 1){
const err134 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err134];
}
else {
vErrors.push(err134);
}
errors++;
}
if(!pattern0.test(data46)){
const err135 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err135];
}
else {
vErrors.push(err135);
}
errors++;
}
}
else {
const err136 = {instancePath:instancePath+"/fields/hardware/breakGlass",schemaPath:"#/properties/fields/properties/hardware/properties/breakGlass/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err136];
}
else {
vErrors.push(err136);
}
errors++;
}
}
if(data35.opener !== undefined){
let data47 = data35.opener;
if(typeof data47 === "string"){
if(func3(data47) > 80){
const err137 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err137];
}
else {
vErrors.push(err137);
}
errors++;
}
if(func3(data47) < 1){
const err138 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err138];
}
else {
vErrors.push(err138);
}
errors++;
}
if(!pattern0.test(data47)){
const err139 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err139];
}
else {
vErrors.push(err139);
}
errors++;
}
}
else {
const err140 = {instancePath:instancePath+"/fields/hardware/opener",schemaPath:"#/properties/fields/properties/hardware/properties/opener/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err140];
}
else {
vErrors.push(err140);
}
errors++;
}
}
if(data35.tamper !== undefined){
let data48 = data35.tamper;
if(typeof data48 === "string"){
if(func3(data48) > 80){
const err141 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err141];
}
else {
vErrors.push(err141);
}
errors++;
}
if(func3(data48) < 1){
const err142 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err142];
}
else {
vErrors.push(err142);
}
errors++;
}
if(!pattern0.test(data48)){
const err143 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err143];
}
else {
vErrors.push(err143);
}
errors++;
}
}
else {
const err144 = {instancePath:instancePath+"/fields/hardware/tamper",schemaPath:"#/properties/fields/properties/hardware/properties/tamper/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err144];
}
else {
vErrors.push(err144);
}
errors++;
}
}
if(data35.spare !== undefined){
let data49 = data35.spare;
if(typeof data49 === "string"){
if(func3(data49) > 80){
const err145 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err145];
}
else {
vErrors.push(err145);
}
errors++;
}
if(func3(data49) < 1){
const err146 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err146];
}
else {
vErrors.push(err146);
}
errors++;
}
if(!pattern0.test(data49)){
const err147 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err147];
}
else {
vErrors.push(err147);
}
errors++;
}
}
else {
const err148 = {instancePath:instancePath+"/fields/hardware/spare",schemaPath:"#/properties/fields/properties/hardware/properties/spare/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err148];
}
else {
vErrors.push(err148);
}
errors++;
}
}
if(data35.sounder !== undefined){
let data50 = data35.sounder;
if(typeof data50 === "string"){
if(func3(data50) > 80){
const err149 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err149];
}
else {
vErrors.push(err149);
}
errors++;
}
if(func3(data50) < 1){
const err150 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err150];
}
else {
vErrors.push(err150);
}
errors++;
}
if(!pattern0.test(data50)){
const err151 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err151];
}
else {
vErrors.push(err151);
}
errors++;
}
}
else {
const err152 = {instancePath:instancePath+"/fields/hardware/sounder",schemaPath:"#/properties/fields/properties/hardware/properties/sounder/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err152];
}
else {
vErrors.push(err152);
}
errors++;
}
}
if(data35.signal !== undefined){
let data51 = data35.signal;
if(typeof data51 === "string"){
if(func3(data51) > 80){
const err153 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err153];
}
else {
vErrors.push(err153);
}
errors++;
}
if(func3(data51) < 1){
const err154 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err154];
}
else {
vErrors.push(err154);
}
errors++;
}
if(!pattern0.test(data51)){
const err155 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err155];
}
else {
vErrors.push(err155);
}
errors++;
}
}
else {
const err156 = {instancePath:instancePath+"/fields/hardware/signal",schemaPath:"#/properties/fields/properties/hardware/properties/signal/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err156];
}
else {
vErrors.push(err156);
}
errors++;
}
}
if(data35.panelSet !== undefined){
let data52 = data35.panelSet;
if(typeof data52 === "string"){
if(func3(data52) > 80){
const err157 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err157];
}
else {
vErrors.push(err157);
}
errors++;
}
if(func3(data52) < 1){
const err158 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err158];
}
else {
vErrors.push(err158);
}
errors++;
}
if(!pattern0.test(data52)){
const err159 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err159];
}
else {
vErrors.push(err159);
}
errors++;
}
}
else {
const err160 = {instancePath:instancePath+"/fields/hardware/panelSet",schemaPath:"#/properties/fields/properties/hardware/properties/panelSet/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err160];
}
else {
vErrors.push(err160);
}
errors++;
}
}
if(data35.panelUnset !== undefined){
let data53 = data35.panelUnset;
if(typeof data53 === "string"){
if(func3(data53) > 80){
const err161 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err161];
}
else {
vErrors.push(err161);
}
errors++;
}
if(func3(data53) < 1){
const err162 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err162];
}
else {
vErrors.push(err162);
}
errors++;
}
if(!pattern0.test(data53)){
const err163 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err163];
}
else {
vErrors.push(err163);
}
errors++;
}
}
else {
const err164 = {instancePath:instancePath+"/fields/hardware/panelUnset",schemaPath:"#/properties/fields/properties/hardware/properties/panelUnset/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err164];
}
else {
vErrors.push(err164);
}
errors++;
}
}
if(data35.panelToggle !== undefined){
let data54 = data35.panelToggle;
if(typeof data54 === "string"){
if(func3(data54) > 80){
const err165 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err165];
}
else {
vErrors.push(err165);
}
errors++;
}
if(func3(data54) < 1){
const err166 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err166];
}
else {
vErrors.push(err166);
}
errors++;
}
if(!pattern0.test(data54)){
const err167 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err167];
}
else {
vErrors.push(err167);
}
errors++;
}
}
else {
const err168 = {instancePath:instancePath+"/fields/hardware/panelToggle",schemaPath:"#/properties/fields/properties/hardware/properties/panelToggle/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err168];
}
else {
vErrors.push(err168);
}
errors++;
}
}
if(data35.panelState !== undefined){
let data55 = data35.panelState;
if(typeof data55 === "string"){
if(func3(data55) > 80){
const err169 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err169];
}
else {
vErrors.push(err169);
}
errors++;
}
if(func3(data55) < 1){
const err170 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err170];
}
else {
vErrors.push(err170);
}
errors++;
}
if(!pattern0.test(data55)){
const err171 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err171];
}
else {
vErrors.push(err171);
}
errors++;
}
}
else {
const err172 = {instancePath:instancePath+"/fields/hardware/panelState",schemaPath:"#/properties/fields/properties/hardware/properties/panelState/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err172];
}
else {
vErrors.push(err172);
}
errors++;
}
}
}
else {
const err173 = {instancePath:instancePath+"/fields/hardware",schemaPath:"#/properties/fields/properties/hardware/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err173];
}
else {
vErrors.push(err173);
}
errors++;
}
}
if(data1.opening !== undefined){
let data56 = data1.opening;
if(!(((((((((data56 === "door") || (data56 === "doubleDoor")) || (data56 === "gate")) || (data56 === "shutter")) || (data56 === "turnstile")) || (data56 === "cabinet")) || (data56 === "locker")) || (data56 === "padlock")) || (data56 === "liftCall"))){
const err174 = {instancePath:instancePath+"/fields/opening",schemaPath:"#/properties/fields/properties/opening/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.opening.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err174];
}
else {
vErrors.push(err174);
}
errors++;
}
}
if(data1.outdoor !== undefined){
if(typeof data1.outdoor !== "boolean"){
const err175 = {instancePath:instancePath+"/fields/outdoor",schemaPath:"#/properties/fields/properties/outdoor/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err175];
}
else {
vErrors.push(err175);
}
errors++;
}
}
if(data1.pinned !== undefined){
if(typeof data1.pinned !== "boolean"){
const err176 = {instancePath:instancePath+"/fields/pinned",schemaPath:"#/properties/fields/properties/pinned/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err176];
}
else {
vErrors.push(err176);
}
errors++;
}
}
if(data1.decides !== undefined){
let data59 = data1.decides;
if(data59 && typeof data59 == "object" && !Array.isArray(data59)){
if(!(false)){
if(data59.by === undefined){
const err177 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "by"},message:"must have required property '"+"by"+"'"};
if(vErrors === null){
vErrors = [err177];
}
else {
vErrors.push(err177);
}
errors++;
}
}
if(!(false)){
if(data59.afterS === undefined){
const err178 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "afterS"},message:"must have required property '"+"afterS"+"'"};
if(vErrors === null){
vErrors = [err178];
}
else {
vErrors.push(err178);
}
errors++;
}
}
if(!(false)){
if(data59.then === undefined){
const err179 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/required",keyword:"required",params:{missingProperty: "then"},message:"must have required property '"+"then"+"'"};
if(vErrors === null){
vErrors = [err179];
}
else {
vErrors.push(err179);
}
errors++;
}
}
for(const key6 in data59){
if(!(((key6 === "by") || (key6 === "afterS")) || (key6 === "then"))){
const err180 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key6},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err180];
}
else {
vErrors.push(err180);
}
errors++;
}
}
if(data59.by !== undefined){
let data60 = data59.by;
if(!((((data60 === "reader") || (data60 === "lock")) || (data60 === "controller")) || (data60 === "server"))){
const err181 = {instancePath:instancePath+"/fields/decides/by",schemaPath:"#/properties/fields/properties/decides/properties/by/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.decides.properties.by.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err181];
}
else {
vErrors.push(err181);
}
errors++;
}
}
if(data59.afterS !== undefined){
let data61 = data59.afterS;
if(typeof data61 == "number"){
if(data61 > 3600 || isNaN(data61)){
const err182 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err182];
}
else {
vErrors.push(err182);
}
errors++;
}
if(data61 < 0 || isNaN(data61)){
const err183 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err183];
}
else {
vErrors.push(err183);
}
errors++;
}
}
else {
const err184 = {instancePath:instancePath+"/fields/decides/afterS",schemaPath:"#/properties/fields/properties/decides/properties/afterS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err184];
}
else {
vErrors.push(err184);
}
errors++;
}
}
if(data59.then !== undefined){
let data62 = data59.then;
if(!(((data62 === "staysShut") || (data62 === "opens")) || (data62 === "knownCards"))){
const err185 = {instancePath:instancePath+"/fields/decides/then",schemaPath:"#/properties/fields/properties/decides/properties/then/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.decides.properties.then.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err185];
}
else {
vErrors.push(err185);
}
errors++;
}
}
}
else {
const err186 = {instancePath:instancePath+"/fields/decides",schemaPath:"#/properties/fields/properties/decides/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err186];
}
else {
vErrors.push(err186);
}
errors++;
}
}
if(data1.ends !== undefined){
let data63 = data1.ends;
if(data63 && typeof data63 == "object" && !Array.isArray(data63)){
if(!(false)){
if(data63.seriesOhm === undefined){
const err187 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "seriesOhm"},message:"must have required property '"+"seriesOhm"+"'"};
if(vErrors === null){
vErrors = [err187];
}
else {
vErrors.push(err187);
}
errors++;
}
}
if(!(false)){
if(data63.parallelOhm === undefined){
const err188 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "parallelOhm"},message:"must have required property '"+"parallelOhm"+"'"};
if(vErrors === null){
vErrors = [err188];
}
else {
vErrors.push(err188);
}
errors++;
}
}
if(!(false)){
if(data63.at === undefined){
const err189 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/required",keyword:"required",params:{missingProperty: "at"},message:"must have required property '"+"at"+"'"};
if(vErrors === null){
vErrors = [err189];
}
else {
vErrors.push(err189);
}
errors++;
}
}
for(const key7 in data63){
if(!(((key7 === "seriesOhm") || (key7 === "parallelOhm")) || (key7 === "at"))){
const err190 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key7},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err190];
}
else {
vErrors.push(err190);
}
errors++;
}
}
if(data63.seriesOhm !== undefined){
let data64 = data63.seriesOhm;
if(typeof data64 == "number"){
if(data64 > 100000 || isNaN(data64)){
const err191 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err191];
}
else {
vErrors.push(err191);
}
errors++;
}
if(data64 < 0 || isNaN(data64)){
const err192 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err192];
}
else {
vErrors.push(err192);
}
errors++;
}
}
else {
const err193 = {instancePath:instancePath+"/fields/ends/seriesOhm",schemaPath:"#/properties/fields/properties/ends/properties/seriesOhm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err193];
}
else {
vErrors.push(err193);
}
errors++;
}
}
if(data63.parallelOhm !== undefined){
let data65 = data63.parallelOhm;
if(typeof data65 == "number"){
if(data65 > 100000 || isNaN(data65)){
const err194 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err194];
}
else {
vErrors.push(err194);
}
errors++;
}
if(data65 < 0 || isNaN(data65)){
const err195 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err195];
}
else {
vErrors.push(err195);
}
errors++;
}
}
else {
const err196 = {instancePath:instancePath+"/fields/ends/parallelOhm",schemaPath:"#/properties/fields/properties/ends/properties/parallelOhm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err196];
}
else {
vErrors.push(err196);
}
errors++;
}
}
if(data63.at !== undefined){
let data66 = data63.at;
if(!((data66 === "device") || (data66 === "controller"))){
const err197 = {instancePath:instancePath+"/fields/ends/at",schemaPath:"#/properties/fields/properties/ends/properties/at/enum",keyword:"enum",params:{allowedValues: schema17.properties.fields.properties.ends.properties.at.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err197];
}
else {
vErrors.push(err197);
}
errors++;
}
}
}
else {
const err198 = {instancePath:instancePath+"/fields/ends",schemaPath:"#/properties/fields/properties/ends/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err198];
}
else {
vErrors.push(err198);
}
errors++;
}
}
if(data1.drive !== undefined){
let data67 = data1.drive;
if(data67 && typeof data67 == "object" && !Array.isArray(data67)){
if(!(false)){
if(data67.pullMs === undefined){
const err199 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/required",keyword:"required",params:{missingProperty: "pullMs"},message:"must have required property '"+"pullMs"+"'"};
if(vErrors === null){
vErrors = [err199];
}
else {
vErrors.push(err199);
}
errors++;
}
}
if(!(false)){
if(data67.holdShare === undefined){
const err200 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/required",keyword:"required",params:{missingProperty: "holdShare"},message:"must have required property '"+"holdShare"+"'"};
if(vErrors === null){
vErrors = [err200];
}
else {
vErrors.push(err200);
}
errors++;
}
}
for(const key8 in data67){
if(!((key8 === "pullMs") || (key8 === "holdShare"))){
const err201 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key8},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err201];
}
else {
vErrors.push(err201);
}
errors++;
}
}
if(data67.pullMs !== undefined){
let data68 = data67.pullMs;
if(typeof data68 == "number"){
if(data68 > 5000 || isNaN(data68)){
const err202 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/maximum",keyword:"maximum",params:{comparison: "<=", limit: 5000},message:"must be <= 5000"};
if(vErrors === null){
vErrors = [err202];
}
else {
vErrors.push(err202);
}
errors++;
}
if(data68 < 20 || isNaN(data68)){
const err203 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/minimum",keyword:"minimum",params:{comparison: ">=", limit: 20},message:"must be >= 20"};
if(vErrors === null){
vErrors = [err203];
}
else {
vErrors.push(err203);
}
errors++;
}
}
else {
const err204 = {instancePath:instancePath+"/fields/drive/pullMs",schemaPath:"#/properties/fields/properties/drive/properties/pullMs/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err204];
}
else {
vErrors.push(err204);
}
errors++;
}
}
if(data67.holdShare !== undefined){
let data69 = data67.holdShare;
if(typeof data69 == "number"){
if(data69 > 1 || isNaN(data69)){
const err205 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/maximum",keyword:"maximum",params:{comparison: "<=", limit: 1},message:"must be <= 1"};
if(vErrors === null){
vErrors = [err205];
}
else {
vErrors.push(err205);
}
errors++;
}
if(data69 < 0.05 || isNaN(data69)){
const err206 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.05},message:"must be >= 0.05"};
if(vErrors === null){
vErrors = [err206];
}
else {
vErrors.push(err206);
}
errors++;
}
}
else {
const err207 = {instancePath:instancePath+"/fields/drive/holdShare",schemaPath:"#/properties/fields/properties/drive/properties/holdShare/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err207];
}
else {
vErrors.push(err207);
}
errors++;
}
}
}
else {
const err208 = {instancePath:instancePath+"/fields/drive",schemaPath:"#/properties/fields/properties/drive/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err208];
}
else {
vErrors.push(err208);
}
errors++;
}
}
if(data1.distances !== undefined){
let data70 = data1.distances;
if(data70 && typeof data70 == "object" && !Array.isArray(data70)){
if(Object.keys(data70).length > 100){
const err209 = {instancePath:instancePath+"/fields/distances",schemaPath:"#/properties/fields/properties/distances/maxProperties",keyword:"maxProperties",params:{limit: 100},message:"must NOT have more than 100 properties"};
if(vErrors === null){
vErrors = [err209];
}
else {
vErrors.push(err209);
}
errors++;
}
for(const key9 in data70){
let data71 = data70[key9];
if(typeof data71 == "number"){
if(data71 > 2000 || isNaN(data71)){
const err210 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/maximum",keyword:"maximum",params:{comparison: "<=", limit: 2000},message:"must be <= 2000"};
if(vErrors === null){
vErrors = [err210];
}
else {
vErrors.push(err210);
}
errors++;
}
if(data71 < 0 || isNaN(data71)){
const err211 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err211];
}
else {
vErrors.push(err211);
}
errors++;
}
}
else {
const err212 = {instancePath:instancePath+"/fields/distances/" + key9.replace(/~/g, "~0").replace(/\//g, "~1"),schemaPath:"#/properties/fields/properties/distances/additionalProperties/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err212];
}
else {
vErrors.push(err212);
}
errors++;
}
}
}
else {
const err213 = {instancePath:instancePath+"/fields/distances",schemaPath:"#/properties/fields/properties/distances/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err213];
}
else {
vErrors.push(err213);
}
errors++;
}
}
if(data1.at !== undefined){
let data72 = data1.at;
if(data72 && typeof data72 == "object" && !Array.isArray(data72)){
if(!(false)){
if(data72.x === undefined){
const err214 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/required",keyword:"required",params:{missingProperty: "x"},message:"must have required property '"+"x"+"'"};
if(vErrors === null){
vErrors = [err214];
}
else {
vErrors.push(err214);
}
errors++;
}
}
if(!(false)){
if(data72.y === undefined){
const err215 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/required",keyword:"required",params:{missingProperty: "y"},message:"must have required property '"+"y"+"'"};
if(vErrors === null){
vErrors = [err215];
}
else {
vErrors.push(err215);
}
errors++;
}
}
for(const key10 in data72){
if(!((key10 === "x") || (key10 === "y"))){
const err216 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key10},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err216];
}
else {
vErrors.push(err216);
}
errors++;
}
}
if(data72.x !== undefined){
let data73 = data72.x;
if(typeof data73 == "number"){
if(data73 > 100000 || isNaN(data73)){
const err217 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err217];
}
else {
vErrors.push(err217);
}
errors++;
}
if(data73 < -100000 || isNaN(data73)){
const err218 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/minimum",keyword:"minimum",params:{comparison: ">=", limit: -100000},message:"must be >= -100000"};
if(vErrors === null){
vErrors = [err218];
}
else {
vErrors.push(err218);
}
errors++;
}
}
else {
const err219 = {instancePath:instancePath+"/fields/at/x",schemaPath:"#/properties/fields/properties/at/properties/x/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err219];
}
else {
vErrors.push(err219);
}
errors++;
}
}
if(data72.y !== undefined){
let data74 = data72.y;
if(typeof data74 == "number"){
if(data74 > 100000 || isNaN(data74)){
const err220 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err220];
}
else {
vErrors.push(err220);
}
errors++;
}
if(data74 < -100000 || isNaN(data74)){
const err221 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/minimum",keyword:"minimum",params:{comparison: ">=", limit: -100000},message:"must be >= -100000"};
if(vErrors === null){
vErrors = [err221];
}
else {
vErrors.push(err221);
}
errors++;
}
}
else {
const err222 = {instancePath:instancePath+"/fields/at/y",schemaPath:"#/properties/fields/properties/at/properties/y/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err222];
}
else {
vErrors.push(err222);
}
errors++;
}
}
}
else {
const err223 = {instancePath:instancePath+"/fields/at",schemaPath:"#/properties/fields/properties/at/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err223];
}
else {
vErrors.push(err223);
}
errors++;
}
}
}
else {
const err224 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err224];
}
else {
vErrors.push(err224);
}
errors++;
}
}
}
else {
const err225 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err225];
}
else {
vErrors.push(err225);
}
errors++;
}
validate16.errors = vErrors;
return errors === 0;
}

export const doors_edit = validate17;
const schema18 = {"type":"object","additionalProperties":false,"properties":{"doors":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"minItems":1,"maxItems":5000,"uniqueItems":true},"fields":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"to":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"escapeRoute":{"type":"boolean"},"handle":{"type":"boolean"},"otherWayOut":{"type":"boolean"},"outdoor":{"type":"boolean"},"pinned":{"type":"boolean"},"passagesPerDay":{"type":"integer","minimum":0,"maximum":100000},"behaviour":{"type":"object","additionalProperties":false,"properties":{"releaseS":{"type":"number","minimum":0.5,"maximum":3600},"heldOpenS":{"type":"number","minimum":1,"maximum":3600},"relockDelayS":{"type":"number","minimum":0,"maximum":3600},"forcedAlarm":{"type":"boolean"}},"required":[],"minProperties":1}},"required":[],"minProperties":1}},"required":["doors","fields"]};

function validate17(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.doors === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "doors"},message:"must have required property '"+"doors"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.fields === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "fields"},message:"must have required property '"+"fields"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!((key0 === "doors") || (key0 === "fields"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.doors !== undefined){
let data0 = data.doors;
if(Array.isArray(data0)){
if(data0.length > 5000){
const err3 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/maxItems",keyword:"maxItems",params:{limit: 5000},message:"must NOT have more than 5000 items"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(data0.length < 1){
const err4 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/minItems",keyword:"minItems",params:{limit: 1},message:"must NOT have fewer than 1 items"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
const len0 = data0.length;
for(let i0=0; i0<len0; i0++){
let data1 = data0[i0];
if(typeof data1 === "string"){
if(func3(data1) > 80){
const err5 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(func3(data1) < 1){
const err6 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(!pattern0.test(data1)){
const err7 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
let i1 = data0.length;
let j0;
if(i1 > 1){
const indices0 = {};
for(;i1--;){
let item0 = data0[i1];
if(typeof item0 !== "string"){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err9 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/uniqueItems",keyword:"uniqueItems",params:{i: i1, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i1+" are identical)"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
break;
}
indices0[item0] = i1;
}
}
}
else {
const err10 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
if(data.fields !== undefined){
let data2 = data.fields;
if(data2 && typeof data2 == "object" && !Array.isArray(data2)){
if(Object.keys(data2).length < 1){
const err11 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/minProperties",keyword:"minProperties",params:{limit: 1},message:"must NOT have fewer than 1 properties"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
for(const key1 in data2){
if(!(func2.call(schema18.properties.fields.properties, key1))){
const err12 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data2.from !== undefined){
let data3 = data2.from;
if(typeof data3 === "string"){
if(func3(data3) > 80){
const err13 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(func3(data3) < 1){
const err14 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(!pattern0.test(data3)){
const err15 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/fields/from",schemaPath:"#/properties/fields/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(data2.to !== undefined){
let data4 = data2.to;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err17 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(func3(data4) < 1){
const err18 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(!pattern0.test(data4)){
const err19 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/fields/to",schemaPath:"#/properties/fields/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data2.escapeRoute !== undefined){
if(typeof data2.escapeRoute !== "boolean"){
const err21 = {instancePath:instancePath+"/fields/escapeRoute",schemaPath:"#/properties/fields/properties/escapeRoute/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data2.handle !== undefined){
if(typeof data2.handle !== "boolean"){
const err22 = {instancePath:instancePath+"/fields/handle",schemaPath:"#/properties/fields/properties/handle/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data2.otherWayOut !== undefined){
if(typeof data2.otherWayOut !== "boolean"){
const err23 = {instancePath:instancePath+"/fields/otherWayOut",schemaPath:"#/properties/fields/properties/otherWayOut/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
if(data2.outdoor !== undefined){
if(typeof data2.outdoor !== "boolean"){
const err24 = {instancePath:instancePath+"/fields/outdoor",schemaPath:"#/properties/fields/properties/outdoor/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
if(data2.pinned !== undefined){
if(typeof data2.pinned !== "boolean"){
const err25 = {instancePath:instancePath+"/fields/pinned",schemaPath:"#/properties/fields/properties/pinned/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data2.passagesPerDay !== undefined){
let data10 = data2.passagesPerDay;
if(!((typeof data10 == "number") && (!(data10 % 1) && !isNaN(data10)))){
const err26 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
if(typeof data10 == "number"){
if(data10 > 100000 || isNaN(data10)){
const err27 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100000},message:"must be <= 100000"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
if(data10 < 0 || isNaN(data10)){
const err28 = {instancePath:instancePath+"/fields/passagesPerDay",schemaPath:"#/properties/fields/properties/passagesPerDay/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
}
if(data2.behaviour !== undefined){
let data11 = data2.behaviour;
if(data11 && typeof data11 == "object" && !Array.isArray(data11)){
if(Object.keys(data11).length < 1){
const err29 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/minProperties",keyword:"minProperties",params:{limit: 1},message:"must NOT have fewer than 1 properties"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
for(const key2 in data11){
if(!((((key2 === "releaseS") || (key2 === "heldOpenS")) || (key2 === "relockDelayS")) || (key2 === "forcedAlarm"))){
const err30 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(data11.releaseS !== undefined){
let data12 = data11.releaseS;
if(typeof data12 == "number"){
if(data12 > 3600 || isNaN(data12)){
const err31 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
if(data12 < 0.5 || isNaN(data12)){
const err32 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
else {
const err33 = {instancePath:instancePath+"/fields/behaviour/releaseS",schemaPath:"#/properties/fields/properties/behaviour/properties/releaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(data11.heldOpenS !== undefined){
let data13 = data11.heldOpenS;
if(typeof data13 == "number"){
if(data13 > 3600 || isNaN(data13)){
const err34 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
if(data13 < 1 || isNaN(data13)){
const err35 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
else {
const err36 = {instancePath:instancePath+"/fields/behaviour/heldOpenS",schemaPath:"#/properties/fields/properties/behaviour/properties/heldOpenS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
if(data11.relockDelayS !== undefined){
let data14 = data11.relockDelayS;
if(typeof data14 == "number"){
if(data14 > 3600 || isNaN(data14)){
const err37 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
if(data14 < 0 || isNaN(data14)){
const err38 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
else {
const err39 = {instancePath:instancePath+"/fields/behaviour/relockDelayS",schemaPath:"#/properties/fields/properties/behaviour/properties/relockDelayS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
if(data11.forcedAlarm !== undefined){
if(typeof data11.forcedAlarm !== "boolean"){
const err40 = {instancePath:instancePath+"/fields/behaviour/forcedAlarm",schemaPath:"#/properties/fields/properties/behaviour/properties/forcedAlarm/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
}
else {
const err41 = {instancePath:instancePath+"/fields/behaviour",schemaPath:"#/properties/fields/properties/behaviour/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
}
}
else {
const err42 = {instancePath:instancePath+"/fields",schemaPath:"#/properties/fields/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
}
else {
const err43 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
validate17.errors = vErrors;
return errors === 0;
}

export const sheet_put = validate18;
const schema19 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^[a-z0-9-]{1,40}$","title":"Short name, small letters"},"name":{"type":"string","minLength":1,"maxLength":200,"title":"Name"},"kind":{"enum":["controller","reader","lock","contact","exit","breakGlass","supply","expander","hub","wirelessLock","station","module","converter","switch","midspan","opener","sounder","panelLine","panelState"],"title":"Kind"},"protocol":{"type":"string","pattern":"^[a-z0-9-]{1,40}$","title":"Speaks on the network"},"listens":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"transport":{"enum":["tcp","udp"],"title":"Over"},"port":{"type":"integer","minimum":1,"maximum":65535,"title":"Port"},"protocol":{"type":"string","minLength":1,"maxLength":200,"title":"What is spoken"}},"required":["transport","port","protocol"]},"maxItems":400,"title":"Ports it listens on"},"calls":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"transport":{"enum":["tcp","udp"],"title":"Over"},"port":{"type":"integer","minimum":1,"maximum":65535,"title":"Port"},"protocol":{"type":"string","minLength":1,"maxLength":200,"title":"What is spoken"},"whom":{"type":"string","minLength":1,"maxLength":200,"title":"Whom"}},"required":["transport","port","protocol","whom"]},"maxItems":400,"title":"Whom it calls by itself"},"also":{"type":"array","items":{"enum":["controller","reader","lock","contact","exit","breakGlass","supply","expander","hub","wirelessLock","station","module","converter","switch","midspan","opener","sounder","panelLine","panelState"]},"maxItems":400,"title":"And at once"},"says":{"type":"string","maxLength":400,"title":"In a sentence"},"restA":{"type":"number","minimum":0,"maximum":100,"title":"Amps at rest, A"},"place":{"enum":["indoor","outdoor"],"title":"Made for"},"terminals":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Number"},"label":{"type":"string","minLength":1,"maxLength":200,"title":"Printed beside it"},"kind":{"enum":["reader+","reader-","d0","d1","led","busA","busB","bus0","input","inputCommon","relayC","relayNO","relayNC","auxC","auxNO","feed+","feed-"],"title":"Kind"},"group":{"type":"string","minLength":1,"maxLength":200,"title":"Door port"},"port":{"type":"string","minLength":1,"maxLength":200,"title":"Port"},"maxConductors":{"type":"integer","minimum":1,"maximum":10,"title":"Conductors at most"},"mostMm2":{"type":"number","exclusiveMinimum":0,"title":"Thickest core, mm²"}},"required":["id","label","kind","group","port","maxConductors"]},"maxItems":400,"title":"Terminals"},"leads":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^[A-Za-z0-9]{1,12}$","title":"Id"},"name":{"type":"string","minLength":1,"maxLength":200,"title":"Name"},"colour":{"type":"string","maxLength":40,"title":"Colour"},"kind":{"enum":["supply+","supply-","d0","d1","led","busA","busB","bus0","contactA","contactB","lock+","lock-","break1","break2","drive1","drive2"],"title":"Goes to"}},"required":["id","name","colour","kind"]},"maxItems":400,"title":"Leads"},"lock":{"type":"object","additionalProperties":false,"properties":{"principle":{"enum":["magnetic","strike","motor"],"title":"Principle"},"fail":{"enum":["safe","secure"],"title":"Without power"},"current":{"enum":["direct","alternating"],"title":"Current"},"nominalV":{"type":"number","exclusiveMinimum":0,"title":"Made for, V"},"leastV":{"type":"number","exclusiveMinimum":0,"title":"Least volts at pull-in, V"},"pullA":{"type":"number","exclusiveMinimum":0,"title":"Amps at pull-in, A"},"pullMs":{"type":"number","exclusiveMinimum":0,"title":"Time of pulling in, ms"},"holdA":{"type":"number","minimum":0,"title":"Amps held, A"},"dropOutV":{"type":"number","minimum":0,"title":"Lets go under, V"},"duty":{"type":"number","exclusiveMinimum":0,"maximum":1,"title":"Share of time it may be driven"},"sensing":{"type":"boolean","title":"Tells that it is locked"},"suppressionMs":{"type":"number","minimum":0,"title":"Suppression slows its letting go by, ms"}},"required":["principle","fail","nominalV","leastV","pullA","sensing"],"title":"Lock"},"controller":{"type":"object","additionalProperties":false,"properties":{"doors":{"type":"integer","minimum":0,"title":"Doors"},"portGroups":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Id"},"name":{"type":"string","minLength":1,"maxLength":200,"title":"Name"}},"required":["id","name"]},"maxItems":400,"title":"Door ports"},"releaseStepS":{"type":"number","exclusiveMinimum":0,"title":"Step of its timers, s"},"longestReleaseS":{"type":"number","exclusiveMinimum":0,"title":"Longest release, s"},"cardFormats":{"type":"array","items":{"enum":["wiegand26","wiegand34","serial4","serial7"]},"maxItems":400,"title":"Card formats"},"ownFormats":{"type":"integer","minimum":0,"title":"Card formats by fields that it can be told"},"bitOrders":{"type":"array","items":{"enum":["bitsReversed","bytesReversed","bytesMirrored"]},"maxItems":400,"title":"Orders of bits that a reader can be set to"},"feedVolts":{"type":"number","minimum":0,"title":"Volts at its lock feed, V"},"feedA":{"type":"number","minimum":0,"title":"Amps its lock feed gives in all, A"},"factory":{"type":"object","additionalProperties":false,"properties":{"address":{"type":"string","title":"Address"},"user":{"type":"string","title":"User"},"password":{"type":"string","title":"Password"}},"required":["address","user","password"],"title":"From the factory"},"terminalOneAt":{"enum":["left","right"],"title":"Terminal 1 is at the"},"reset":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"says":{"type":"string","minLength":1,"maxLength":200,"title":"What to do"},"seconds":{"type":"number","minimum":0,"title":"Seconds"},"holds":{"const":true,"title":"A key is held"}},"required":["says","seconds"]},"maxItems":400,"title":"Reset by hand, step by step"},"lamps":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"lamp":{"type":"string","minLength":1,"maxLength":200,"title":"Lamp"},"means":{"type":"string","minLength":1,"maxLength":200,"title":"Means"}},"required":["lamp","means"]},"maxItems":400,"title":"Lamps"},"cabinet":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Id"},"says":{"type":"string","minLength":1,"maxLength":200,"title":"What to check"},"after":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"Only after"}},"required":["id","says"]},"maxItems":400,"title":"Check-off of the cabinet"},"supervised":{"type":"object","additionalProperties":false,"properties":{"shortBelow":{"type":"number","exclusiveMinimum":0,"title":"Short below, Ω"},"closedBelow":{"type":"number","exclusiveMinimum":0,"title":"Closed below, Ω"},"cutAbove":{"type":"number","exclusiveMinimum":0,"title":"Cut above, Ω"}},"required":["shortBelow","closedBelow","cutAbove"],"title":"Supervised inputs"},"limitedRights":{"const":true,"title":"Can be told when a right ends"},"functions":{"type":"array","items":{"enum":["entryReader","exitReader","lock","secondLock","opener","contact","secondContact","lockSensing","exitButton","exitSensor","deskButton","glassPole","tamper","spare","sounder","signal","panelSet","panelUnset","panelToggle","panelState","emergencyRelease","feed"]},"maxItems":400,"title":"What it can be told that a part does"},"abilities":{"type":"array","items":{"enum":["preAlarm","unlockDelay","relockAtOpening","ownHours","firstPerson","twoPeople","reentry","passback","codes","serverDecides"]},"maxItems":400,"title":"What it can do for a door besides"},"reactions":{"type":"integer","minimum":0,"title":"How many reactions it keeps"},"times":{"type":"object","additionalProperties":false,"properties":{"schedules":{"type":"integer","minimum":0,"title":"Schedules"},"periodsADay":{"type":"integer","minimum":0,"title":"Periods a day"},"specialDays":{"type":"integer","minimum":0,"title":"Special days"}},"required":["schedules","periodsADay","specialDays"],"title":"How much of time it holds"},"ownReader":{"type":"string","minLength":1,"maxLength":200,"title":"Port of its own reader"}},"required":["doors","portGroups","releaseStepS","longestReleaseS","cardFormats","feedVolts","feedA","factory","terminalOneAt","reset","lamps","cabinet"],"title":"Controller"},"supply":{"type":"object","additionalProperties":false,"properties":{"volts":{"type":"number","exclusiveMinimum":0,"title":"Volts, V"},"amps":{"type":"number","exclusiveMinimum":0,"title":"Amps, A"},"internalOhm":{"type":"number","minimum":0,"title":"Inside resistance, Ω"},"floatV":{"type":"number","exclusiveMinimum":0,"title":"Floating, V"},"endV":{"type":"number","exclusiveMinimum":0,"title":"End of the battery, V"},"chargerA":{"type":"number","minimum":0,"title":"Amps of its charger, A"},"battery":{"type":"object","additionalProperties":false,"properties":{"volts":{"type":"number","exclusiveMinimum":0,"title":"Volts of one, V"},"peukert":{"anyOf":[{"type":"number","minimum":1,"maximum":2},{"type":"null"}],"title":"Peukert’s exponent"}},"required":["volts","peukert"],"title":"Battery"},"outputs":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Name"},"fuseA":{"type":"number","exclusiveMinimum":0,"title":"Fuse, A"}},"required":["id","fuseA"]},"maxItems":400,"title":"Outputs"},"tripA":{"type":"number","exclusiveMinimum":0,"title":"Trips in the first moment at, A"}},"required":["volts","amps","internalOhm"],"title":"Supply"},"operatingV":{"type":"object","additionalProperties":false,"properties":{"least":{"type":"number","exclusiveMinimum":0,"title":"Least, V"},"most":{"type":"number","exclusiveMinimum":0,"title":"Most, V"}},"required":["least","most"],"title":"Works from and to"},"inrush":{"type":"object","additionalProperties":false,"properties":{"amps":{"type":"number","exclusiveMinimum":0,"title":"Amps, A"},"ms":{"type":"number","exclusiveMinimum":0,"title":"For, ms"}},"required":["amps","ms"],"title":"First moment of power"},"reading":{"type":"object","additionalProperties":false,"properties":{"by":{"enum":["wiegand","osdp","network","radio"],"title":"Hands on by"},"technologies":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"Technologies"},"keypad":{"type":"boolean","title":"Has keys"},"reachM":{"type":"number","exclusiveMinimum":0,"title":"Reads up to, m"},"unitLoad":{"type":"number","exclusiveMinimum":0,"title":"Unit loads on a bus"},"takes":{"type":"array","items":{"enum":["card","code","finger","face","picture"]},"maxItems":400,"title":"Is presented with"}},"required":["by","technologies","keypad","reachM"],"title":"Reading"},"coding":{"type":"object","additionalProperties":false,"properties":{"kind":{"enum":["binary","decade"],"title":"Kind of switch"},"positions":{"type":"integer","minimum":1,"maximum":12,"title":"Switches"},"order":{"enum":["leastFirst","mostFirst"],"title":"Which counts"},"inverted":{"type":"boolean","title":"A switch that is on counts nothing"},"offset":{"type":"integer","minimum":0,"maximum":1000,"title":"Added to what they show"},"factory":{"type":"array","items":{"type":"integer","minimum":0,"maximum":9},"maxItems":400,"title":"Factory position"},"says":{"type":"string","minLength":1,"maxLength":200,"title":"Remark"}},"required":["kind","positions","order","inverted","offset","factory"],"title":"Switches for its address"},"jumpers":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Id"},"says":{"type":"string","minLength":1,"maxLength":200,"title":"What for"},"positions":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"Positions"},"factory":{"type":"string","minLength":1,"maxLength":200,"title":"Factory position"},"does":{"enum":["terminator"],"title":"Switches the"}},"required":["id","says","positions","factory"]},"maxItems":400,"title":"Jumpers"},"network":{"type":"object","additionalProperties":false,"properties":{"class":{"type":"integer","minimum":0,"maximum":8,"title":"Class"},"restW":{"type":"number","minimum":0,"title":"Watts at rest, W"},"peakW":{"type":"number","minimum":0,"title":"Watts at its peak, W"}},"required":["class","restW","peakW"],"title":"Power from the network"},"feeds":{"type":"object","additionalProperties":false,"properties":{"volts":{"type":"number","exclusiveMinimum":0,"title":"Volts, V"},"watts":{"type":"number","exclusiveMinimum":0,"title":"Watts, W"},"efficiency":{"type":"number","exclusiveMinimum":0,"maximum":1,"title":"Efficiency, 0 to 1"},"cutOffV":{"type":"number","exclusiveMinimum":0,"title":"Cuts off under, V"}},"required":["volts","watts","efficiency","cutOffV"],"title":"Feeds its door"},"networkSource":{"type":"object","additionalProperties":false,"properties":{"volts":{"type":"number","exclusiveMinimum":0,"title":"Volts, V"},"budgetW":{"type":"number","minimum":0,"title":"Watts in all, W"},"ports":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":200,"title":"Port"},"highestClass":{"type":"integer","minimum":0,"maximum":8,"title":"Highest class"}},"required":["id","highestClass"]},"maxItems":400,"title":"Ports"}},"required":["volts","budgetW","ports"],"title":"Gives network power"},"ownBattery":{"type":"object","additionalProperties":false,"properties":{"passagesPerDay":{"type":"integer","minimum":0,"title":"Suits passages a day"},"cells":{"type":"string","minLength":1,"maxLength":200,"title":"Cells"}},"required":["passagesPerDay","cells"],"title":"Battery of its own"},"radio":{"type":"object","additionalProperties":false,"properties":{"openM":{"type":"number","exclusiveMinimum":0,"title":"Reaches in the open, m"},"leastDbm":{"type":"number","minimum":-120,"maximum":0,"title":"Weakest signal, dBm"},"standby":{"type":"integer","minimum":0,"title":"Standby credentials that it keeps"}},"required":[],"title":"Radio"},"carries":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"kind":{"enum":["controller","reader","lock","contact","exit","breakGlass","supply","expander","hub","wirelessLock","station","module","converter","switch","midspan","opener","sounder","panelLine","panelState"],"title":"Kind"},"most":{"type":"integer","minimum":0,"title":"At most"}},"required":["kind","most"]},"maxItems":400,"title":"How many may hang on it"},"lamps":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"lamp":{"type":"string","minLength":1,"maxLength":200,"title":"Lamp"},"means":{"type":"string","minLength":1,"maxLength":200,"title":"Means"}},"required":["lamp","means"]},"maxItems":400,"title":"Lamps"},"sounds":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"sound":{"type":"string","minLength":1,"maxLength":200,"title":"Sound"},"means":{"type":"string","minLength":1,"maxLength":200,"title":"Means"}},"required":["sound","means"]},"maxItems":400,"title":"Sounds"},"box":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"In the box"},"mounting":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"Mounting"},"setUp":{"type":"array","items":{"type":"object","additionalProperties":false,"properties":{"what":{"type":"string","minLength":1,"maxLength":200,"title":"What"},"kind":{"enum":["tool","key","licence"],"title":"Kind"},"runsOn":{"type":"string","minLength":1,"maxLength":200,"title":"Runs on"},"one":{"enum":["job","device","door"],"title":"One for each"}},"required":["what","kind","one"]},"maxItems":400,"title":"Needed to set it up"},"atHand":{"type":"array","items":{"type":"string","minLength":1,"maxLength":200},"maxItems":400,"title":"Must be at hand"}},"required":["id","name","kind","says","restA","terminals","leads","atHand"]};
const pattern73 = new RegExp("^[a-z0-9-]{1,40}$", "u");
const pattern75 = new RegExp("^[A-Za-z0-9]{1,12}$", "u");

function validate18(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.kind === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.says === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "says"},message:"must have required property '"+"says"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(!(false)){
if(data.restA === undefined){
const err4 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "restA"},message:"must have required property '"+"restA"+"'"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(!(false)){
if(data.terminals === undefined){
const err5 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "terminals"},message:"must have required property '"+"terminals"+"'"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(!(false)){
if(data.leads === undefined){
const err6 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "leads"},message:"must have required property '"+"leads"+"'"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(!(false)){
if(data.atHand === undefined){
const err7 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "atHand"},message:"must have required property '"+"atHand"+"'"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
for(const key0 in data){
if(!(func2.call(schema19.properties, key0))){
const err8 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(!pattern73.test(data0)){
const err9 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[a-z0-9-]{1,40}$"},message:"must match pattern \""+"^[a-z0-9-]{1,40}$"+"\""};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
else {
const err10 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err11 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
if(func3(data1) < 1){
const err12 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
else {
const err13 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(data.kind !== undefined){
let data2 = data.kind;
if(!(((((((((((((((((((data2 === "controller") || (data2 === "reader")) || (data2 === "lock")) || (data2 === "contact")) || (data2 === "exit")) || (data2 === "breakGlass")) || (data2 === "supply")) || (data2 === "expander")) || (data2 === "hub")) || (data2 === "wirelessLock")) || (data2 === "station")) || (data2 === "module")) || (data2 === "converter")) || (data2 === "switch")) || (data2 === "midspan")) || (data2 === "opener")) || (data2 === "sounder")) || (data2 === "panelLine")) || (data2 === "panelState"))){
const err14 = {instancePath:instancePath+"/kind",schemaPath:"#/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(data.protocol !== undefined){
let data3 = data.protocol;
if(typeof data3 === "string"){
if(!pattern73.test(data3)){
const err15 = {instancePath:instancePath+"/protocol",schemaPath:"#/properties/protocol/pattern",keyword:"pattern",params:{pattern: "^[a-z0-9-]{1,40}$"},message:"must match pattern \""+"^[a-z0-9-]{1,40}$"+"\""};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/protocol",schemaPath:"#/properties/protocol/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(data.listens !== undefined){
let data4 = data.listens;
if(Array.isArray(data4)){
if(data4.length > 400){
const err17 = {instancePath:instancePath+"/listens",schemaPath:"#/properties/listens/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
const len0 = data4.length;
for(let i0=0; i0<len0; i0++){
let data5 = data4[i0];
if(data5 && typeof data5 == "object" && !Array.isArray(data5)){
if(!(false)){
if(data5.transport === undefined){
const err18 = {instancePath:instancePath+"/listens/" + i0,schemaPath:"#/properties/listens/items/required",keyword:"required",params:{missingProperty: "transport"},message:"must have required property '"+"transport"+"'"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
if(!(false)){
if(data5.port === undefined){
const err19 = {instancePath:instancePath+"/listens/" + i0,schemaPath:"#/properties/listens/items/required",keyword:"required",params:{missingProperty: "port"},message:"must have required property '"+"port"+"'"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
if(!(false)){
if(data5.protocol === undefined){
const err20 = {instancePath:instancePath+"/listens/" + i0,schemaPath:"#/properties/listens/items/required",keyword:"required",params:{missingProperty: "protocol"},message:"must have required property '"+"protocol"+"'"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
for(const key1 in data5){
if(!(((key1 === "transport") || (key1 === "port")) || (key1 === "protocol"))){
const err21 = {instancePath:instancePath+"/listens/" + i0,schemaPath:"#/properties/listens/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data5.transport !== undefined){
let data6 = data5.transport;
if(!((data6 === "tcp") || (data6 === "udp"))){
const err22 = {instancePath:instancePath+"/listens/" + i0+"/transport",schemaPath:"#/properties/listens/items/properties/transport/enum",keyword:"enum",params:{allowedValues: schema19.properties.listens.items.properties.transport.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data5.port !== undefined){
let data7 = data5.port;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err23 = {instancePath:instancePath+"/listens/" + i0+"/port",schemaPath:"#/properties/listens/items/properties/port/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
if(typeof data7 == "number"){
if(data7 > 65535 || isNaN(data7)){
const err24 = {instancePath:instancePath+"/listens/" + i0+"/port",schemaPath:"#/properties/listens/items/properties/port/maximum",keyword:"maximum",params:{comparison: "<=", limit: 65535},message:"must be <= 65535"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
if(data7 < 1 || isNaN(data7)){
const err25 = {instancePath:instancePath+"/listens/" + i0+"/port",schemaPath:"#/properties/listens/items/properties/port/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
}
if(data5.protocol !== undefined){
let data8 = data5.protocol;
if(typeof data8 === "string"){
if(func3(data8) > 200){
const err26 = {instancePath:instancePath+"/listens/" + i0+"/protocol",schemaPath:"#/properties/listens/items/properties/protocol/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
if(func3(data8) < 1){
const err27 = {instancePath:instancePath+"/listens/" + i0+"/protocol",schemaPath:"#/properties/listens/items/properties/protocol/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
else {
const err28 = {instancePath:instancePath+"/listens/" + i0+"/protocol",schemaPath:"#/properties/listens/items/properties/protocol/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
}
else {
const err29 = {instancePath:instancePath+"/listens/" + i0,schemaPath:"#/properties/listens/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
}
else {
const err30 = {instancePath:instancePath+"/listens",schemaPath:"#/properties/listens/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(data.calls !== undefined){
let data9 = data.calls;
if(Array.isArray(data9)){
if(data9.length > 400){
const err31 = {instancePath:instancePath+"/calls",schemaPath:"#/properties/calls/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
const len1 = data9.length;
for(let i1=0; i1<len1; i1++){
let data10 = data9[i1];
if(data10 && typeof data10 == "object" && !Array.isArray(data10)){
if(!(false)){
if(data10.transport === undefined){
const err32 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/required",keyword:"required",params:{missingProperty: "transport"},message:"must have required property '"+"transport"+"'"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
if(!(false)){
if(data10.port === undefined){
const err33 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/required",keyword:"required",params:{missingProperty: "port"},message:"must have required property '"+"port"+"'"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(!(false)){
if(data10.protocol === undefined){
const err34 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/required",keyword:"required",params:{missingProperty: "protocol"},message:"must have required property '"+"protocol"+"'"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(!(false)){
if(data10.whom === undefined){
const err35 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/required",keyword:"required",params:{missingProperty: "whom"},message:"must have required property '"+"whom"+"'"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
for(const key2 in data10){
if(!((((key2 === "transport") || (key2 === "port")) || (key2 === "protocol")) || (key2 === "whom"))){
const err36 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
if(data10.transport !== undefined){
let data11 = data10.transport;
if(!((data11 === "tcp") || (data11 === "udp"))){
const err37 = {instancePath:instancePath+"/calls/" + i1+"/transport",schemaPath:"#/properties/calls/items/properties/transport/enum",keyword:"enum",params:{allowedValues: schema19.properties.calls.items.properties.transport.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
if(data10.port !== undefined){
let data12 = data10.port;
if(!((typeof data12 == "number") && (!(data12 % 1) && !isNaN(data12)))){
const err38 = {instancePath:instancePath+"/calls/" + i1+"/port",schemaPath:"#/properties/calls/items/properties/port/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
if(typeof data12 == "number"){
if(data12 > 65535 || isNaN(data12)){
const err39 = {instancePath:instancePath+"/calls/" + i1+"/port",schemaPath:"#/properties/calls/items/properties/port/maximum",keyword:"maximum",params:{comparison: "<=", limit: 65535},message:"must be <= 65535"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
if(data12 < 1 || isNaN(data12)){
const err40 = {instancePath:instancePath+"/calls/" + i1+"/port",schemaPath:"#/properties/calls/items/properties/port/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
}
if(data10.protocol !== undefined){
let data13 = data10.protocol;
if(typeof data13 === "string"){
if(func3(data13) > 200){
const err41 = {instancePath:instancePath+"/calls/" + i1+"/protocol",schemaPath:"#/properties/calls/items/properties/protocol/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
if(func3(data13) < 1){
const err42 = {instancePath:instancePath+"/calls/" + i1+"/protocol",schemaPath:"#/properties/calls/items/properties/protocol/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
else {
const err43 = {instancePath:instancePath+"/calls/" + i1+"/protocol",schemaPath:"#/properties/calls/items/properties/protocol/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
if(data10.whom !== undefined){
let data14 = data10.whom;
if(typeof data14 === "string"){
if(func3(data14) > 200){
const err44 = {instancePath:instancePath+"/calls/" + i1+"/whom",schemaPath:"#/properties/calls/items/properties/whom/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
if(func3(data14) < 1){
const err45 = {instancePath:instancePath+"/calls/" + i1+"/whom",schemaPath:"#/properties/calls/items/properties/whom/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
else {
const err46 = {instancePath:instancePath+"/calls/" + i1+"/whom",schemaPath:"#/properties/calls/items/properties/whom/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
}
else {
const err47 = {instancePath:instancePath+"/calls/" + i1,schemaPath:"#/properties/calls/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
}
else {
const err48 = {instancePath:instancePath+"/calls",schemaPath:"#/properties/calls/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
}
if(data.also !== undefined){
let data15 = data.also;
if(Array.isArray(data15)){
if(data15.length > 400){
const err49 = {instancePath:instancePath+"/also",schemaPath:"#/properties/also/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
const len2 = data15.length;
for(let i2=0; i2<len2; i2++){
let data16 = data15[i2];
if(!(((((((((((((((((((data16 === "controller") || (data16 === "reader")) || (data16 === "lock")) || (data16 === "contact")) || (data16 === "exit")) || (data16 === "breakGlass")) || (data16 === "supply")) || (data16 === "expander")) || (data16 === "hub")) || (data16 === "wirelessLock")) || (data16 === "station")) || (data16 === "module")) || (data16 === "converter")) || (data16 === "switch")) || (data16 === "midspan")) || (data16 === "opener")) || (data16 === "sounder")) || (data16 === "panelLine")) || (data16 === "panelState"))){
const err50 = {instancePath:instancePath+"/also/" + i2,schemaPath:"#/properties/also/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.also.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
}
}
else {
const err51 = {instancePath:instancePath+"/also",schemaPath:"#/properties/also/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
}
if(data.says !== undefined){
let data17 = data.says;
if(typeof data17 === "string"){
if(func3(data17) > 400){
const err52 = {instancePath:instancePath+"/says",schemaPath:"#/properties/says/maxLength",keyword:"maxLength",params:{limit: 400},message:"must NOT have more than 400 characters"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
}
else {
const err53 = {instancePath:instancePath+"/says",schemaPath:"#/properties/says/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
}
if(data.restA !== undefined){
let data18 = data.restA;
if(typeof data18 == "number"){
if(data18 > 100 || isNaN(data18)){
const err54 = {instancePath:instancePath+"/restA",schemaPath:"#/properties/restA/maximum",keyword:"maximum",params:{comparison: "<=", limit: 100},message:"must be <= 100"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
if(data18 < 0 || isNaN(data18)){
const err55 = {instancePath:instancePath+"/restA",schemaPath:"#/properties/restA/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
else {
const err56 = {instancePath:instancePath+"/restA",schemaPath:"#/properties/restA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
}
if(data.place !== undefined){
let data19 = data.place;
if(!((data19 === "indoor") || (data19 === "outdoor"))){
const err57 = {instancePath:instancePath+"/place",schemaPath:"#/properties/place/enum",keyword:"enum",params:{allowedValues: schema19.properties.place.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
}
if(data.terminals !== undefined){
let data20 = data.terminals;
if(Array.isArray(data20)){
if(data20.length > 400){
const err58 = {instancePath:instancePath+"/terminals",schemaPath:"#/properties/terminals/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
const len3 = data20.length;
for(let i3=0; i3<len3; i3++){
let data21 = data20[i3];
if(data21 && typeof data21 == "object" && !Array.isArray(data21)){
if(!(false)){
if(data21.id === undefined){
const err59 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
}
if(!(false)){
if(data21.label === undefined){
const err60 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "label"},message:"must have required property '"+"label"+"'"};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
}
if(!(false)){
if(data21.kind === undefined){
const err61 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
}
if(!(false)){
if(data21.group === undefined){
const err62 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "group"},message:"must have required property '"+"group"+"'"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
}
if(!(false)){
if(data21.port === undefined){
const err63 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "port"},message:"must have required property '"+"port"+"'"};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
}
if(!(false)){
if(data21.maxConductors === undefined){
const err64 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/required",keyword:"required",params:{missingProperty: "maxConductors"},message:"must have required property '"+"maxConductors"+"'"};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
}
for(const key3 in data21){
if(!(((((((key3 === "id") || (key3 === "label")) || (key3 === "kind")) || (key3 === "group")) || (key3 === "port")) || (key3 === "maxConductors")) || (key3 === "mostMm2"))){
const err65 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key3},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
}
if(data21.id !== undefined){
let data22 = data21.id;
if(typeof data22 === "string"){
if(func3(data22) > 200){
const err66 = {instancePath:instancePath+"/terminals/" + i3+"/id",schemaPath:"#/properties/terminals/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
if(func3(data22) < 1){
const err67 = {instancePath:instancePath+"/terminals/" + i3+"/id",schemaPath:"#/properties/terminals/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
}
else {
const err68 = {instancePath:instancePath+"/terminals/" + i3+"/id",schemaPath:"#/properties/terminals/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err68];
}
else {
vErrors.push(err68);
}
errors++;
}
}
if(data21.label !== undefined){
let data23 = data21.label;
if(typeof data23 === "string"){
if(func3(data23) > 200){
const err69 = {instancePath:instancePath+"/terminals/" + i3+"/label",schemaPath:"#/properties/terminals/items/properties/label/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
if(func3(data23) < 1){
const err70 = {instancePath:instancePath+"/terminals/" + i3+"/label",schemaPath:"#/properties/terminals/items/properties/label/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err70];
}
else {
vErrors.push(err70);
}
errors++;
}
}
else {
const err71 = {instancePath:instancePath+"/terminals/" + i3+"/label",schemaPath:"#/properties/terminals/items/properties/label/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err71];
}
else {
vErrors.push(err71);
}
errors++;
}
}
if(data21.kind !== undefined){
let data24 = data21.kind;
if(!(((((((((((((((((data24 === "reader+") || (data24 === "reader-")) || (data24 === "d0")) || (data24 === "d1")) || (data24 === "led")) || (data24 === "busA")) || (data24 === "busB")) || (data24 === "bus0")) || (data24 === "input")) || (data24 === "inputCommon")) || (data24 === "relayC")) || (data24 === "relayNO")) || (data24 === "relayNC")) || (data24 === "auxC")) || (data24 === "auxNO")) || (data24 === "feed+")) || (data24 === "feed-"))){
const err72 = {instancePath:instancePath+"/terminals/" + i3+"/kind",schemaPath:"#/properties/terminals/items/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.terminals.items.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err72];
}
else {
vErrors.push(err72);
}
errors++;
}
}
if(data21.group !== undefined){
let data25 = data21.group;
if(typeof data25 === "string"){
if(func3(data25) > 200){
const err73 = {instancePath:instancePath+"/terminals/" + i3+"/group",schemaPath:"#/properties/terminals/items/properties/group/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err73];
}
else {
vErrors.push(err73);
}
errors++;
}
if(func3(data25) < 1){
const err74 = {instancePath:instancePath+"/terminals/" + i3+"/group",schemaPath:"#/properties/terminals/items/properties/group/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err74];
}
else {
vErrors.push(err74);
}
errors++;
}
}
else {
const err75 = {instancePath:instancePath+"/terminals/" + i3+"/group",schemaPath:"#/properties/terminals/items/properties/group/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err75];
}
else {
vErrors.push(err75);
}
errors++;
}
}
if(data21.port !== undefined){
let data26 = data21.port;
if(typeof data26 === "string"){
if(func3(data26) > 200){
const err76 = {instancePath:instancePath+"/terminals/" + i3+"/port",schemaPath:"#/properties/terminals/items/properties/port/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err76];
}
else {
vErrors.push(err76);
}
errors++;
}
if(func3(data26) < 1){
const err77 = {instancePath:instancePath+"/terminals/" + i3+"/port",schemaPath:"#/properties/terminals/items/properties/port/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err77];
}
else {
vErrors.push(err77);
}
errors++;
}
}
else {
const err78 = {instancePath:instancePath+"/terminals/" + i3+"/port",schemaPath:"#/properties/terminals/items/properties/port/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err78];
}
else {
vErrors.push(err78);
}
errors++;
}
}
if(data21.maxConductors !== undefined){
let data27 = data21.maxConductors;
if(!((typeof data27 == "number") && (!(data27 % 1) && !isNaN(data27)))){
const err79 = {instancePath:instancePath+"/terminals/" + i3+"/maxConductors",schemaPath:"#/properties/terminals/items/properties/maxConductors/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err79];
}
else {
vErrors.push(err79);
}
errors++;
}
if(typeof data27 == "number"){
if(data27 > 10 || isNaN(data27)){
const err80 = {instancePath:instancePath+"/terminals/" + i3+"/maxConductors",schemaPath:"#/properties/terminals/items/properties/maxConductors/maximum",keyword:"maximum",params:{comparison: "<=", limit: 10},message:"must be <= 10"};
if(vErrors === null){
vErrors = [err80];
}
else {
vErrors.push(err80);
}
errors++;
}
if(data27 < 1 || isNaN(data27)){
const err81 = {instancePath:instancePath+"/terminals/" + i3+"/maxConductors",schemaPath:"#/properties/terminals/items/properties/maxConductors/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err81];
}
else {
vErrors.push(err81);
}
errors++;
}
}
}
if(data21.mostMm2 !== undefined){
let data28 = data21.mostMm2;
if(typeof data28 == "number"){
if(data28 <= 0 || isNaN(data28)){
const err82 = {instancePath:instancePath+"/terminals/" + i3+"/mostMm2",schemaPath:"#/properties/terminals/items/properties/mostMm2/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err82];
}
else {
vErrors.push(err82);
}
errors++;
}
}
else {
const err83 = {instancePath:instancePath+"/terminals/" + i3+"/mostMm2",schemaPath:"#/properties/terminals/items/properties/mostMm2/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err83];
}
else {
vErrors.push(err83);
}
errors++;
}
}
}
else {
const err84 = {instancePath:instancePath+"/terminals/" + i3,schemaPath:"#/properties/terminals/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err84];
}
else {
vErrors.push(err84);
}
errors++;
}
}
}
else {
const err85 = {instancePath:instancePath+"/terminals",schemaPath:"#/properties/terminals/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err85];
}
else {
vErrors.push(err85);
}
errors++;
}
}
if(data.leads !== undefined){
let data29 = data.leads;
if(Array.isArray(data29)){
if(data29.length > 400){
const err86 = {instancePath:instancePath+"/leads",schemaPath:"#/properties/leads/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err86];
}
else {
vErrors.push(err86);
}
errors++;
}
const len4 = data29.length;
for(let i4=0; i4<len4; i4++){
let data30 = data29[i4];
if(data30 && typeof data30 == "object" && !Array.isArray(data30)){
if(!(false)){
if(data30.id === undefined){
const err87 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err87];
}
else {
vErrors.push(err87);
}
errors++;
}
}
if(!(false)){
if(data30.name === undefined){
const err88 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err88];
}
else {
vErrors.push(err88);
}
errors++;
}
}
if(!(false)){
if(data30.colour === undefined){
const err89 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/required",keyword:"required",params:{missingProperty: "colour"},message:"must have required property '"+"colour"+"'"};
if(vErrors === null){
vErrors = [err89];
}
else {
vErrors.push(err89);
}
errors++;
}
}
if(!(false)){
if(data30.kind === undefined){
const err90 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err90];
}
else {
vErrors.push(err90);
}
errors++;
}
}
for(const key4 in data30){
if(!((((key4 === "id") || (key4 === "name")) || (key4 === "colour")) || (key4 === "kind"))){
const err91 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key4},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err91];
}
else {
vErrors.push(err91);
}
errors++;
}
}
if(data30.id !== undefined){
let data31 = data30.id;
if(typeof data31 === "string"){
if(!pattern75.test(data31)){
const err92 = {instancePath:instancePath+"/leads/" + i4+"/id",schemaPath:"#/properties/leads/items/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9]{1,12}$"},message:"must match pattern \""+"^[A-Za-z0-9]{1,12}$"+"\""};
if(vErrors === null){
vErrors = [err92];
}
else {
vErrors.push(err92);
}
errors++;
}
}
else {
const err93 = {instancePath:instancePath+"/leads/" + i4+"/id",schemaPath:"#/properties/leads/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err93];
}
else {
vErrors.push(err93);
}
errors++;
}
}
if(data30.name !== undefined){
let data32 = data30.name;
if(typeof data32 === "string"){
if(func3(data32) > 200){
const err94 = {instancePath:instancePath+"/leads/" + i4+"/name",schemaPath:"#/properties/leads/items/properties/name/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err94];
}
else {
vErrors.push(err94);
}
errors++;
}
if(func3(data32) < 1){
const err95 = {instancePath:instancePath+"/leads/" + i4+"/name",schemaPath:"#/properties/leads/items/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err95];
}
else {
vErrors.push(err95);
}
errors++;
}
}
else {
const err96 = {instancePath:instancePath+"/leads/" + i4+"/name",schemaPath:"#/properties/leads/items/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err96];
}
else {
vErrors.push(err96);
}
errors++;
}
}
if(data30.colour !== undefined){
let data33 = data30.colour;
if(typeof data33 === "string"){
if(func3(data33) > 40){
const err97 = {instancePath:instancePath+"/leads/" + i4+"/colour",schemaPath:"#/properties/leads/items/properties/colour/maxLength",keyword:"maxLength",params:{limit: 40},message:"must NOT have more than 40 characters"};
if(vErrors === null){
vErrors = [err97];
}
else {
vErrors.push(err97);
}
errors++;
}
}
else {
const err98 = {instancePath:instancePath+"/leads/" + i4+"/colour",schemaPath:"#/properties/leads/items/properties/colour/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err98];
}
else {
vErrors.push(err98);
}
errors++;
}
}
if(data30.kind !== undefined){
let data34 = data30.kind;
if(!((((((((((((((((data34 === "supply+") || (data34 === "supply-")) || (data34 === "d0")) || (data34 === "d1")) || (data34 === "led")) || (data34 === "busA")) || (data34 === "busB")) || (data34 === "bus0")) || (data34 === "contactA")) || (data34 === "contactB")) || (data34 === "lock+")) || (data34 === "lock-")) || (data34 === "break1")) || (data34 === "break2")) || (data34 === "drive1")) || (data34 === "drive2"))){
const err99 = {instancePath:instancePath+"/leads/" + i4+"/kind",schemaPath:"#/properties/leads/items/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.leads.items.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err99];
}
else {
vErrors.push(err99);
}
errors++;
}
}
}
else {
const err100 = {instancePath:instancePath+"/leads/" + i4,schemaPath:"#/properties/leads/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err100];
}
else {
vErrors.push(err100);
}
errors++;
}
}
}
else {
const err101 = {instancePath:instancePath+"/leads",schemaPath:"#/properties/leads/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err101];
}
else {
vErrors.push(err101);
}
errors++;
}
}
if(data.lock !== undefined){
let data35 = data.lock;
if(data35 && typeof data35 == "object" && !Array.isArray(data35)){
if(!(false)){
if(data35.principle === undefined){
const err102 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "principle"},message:"must have required property '"+"principle"+"'"};
if(vErrors === null){
vErrors = [err102];
}
else {
vErrors.push(err102);
}
errors++;
}
}
if(!(false)){
if(data35.fail === undefined){
const err103 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "fail"},message:"must have required property '"+"fail"+"'"};
if(vErrors === null){
vErrors = [err103];
}
else {
vErrors.push(err103);
}
errors++;
}
}
if(!(false)){
if(data35.nominalV === undefined){
const err104 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "nominalV"},message:"must have required property '"+"nominalV"+"'"};
if(vErrors === null){
vErrors = [err104];
}
else {
vErrors.push(err104);
}
errors++;
}
}
if(!(false)){
if(data35.leastV === undefined){
const err105 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "leastV"},message:"must have required property '"+"leastV"+"'"};
if(vErrors === null){
vErrors = [err105];
}
else {
vErrors.push(err105);
}
errors++;
}
}
if(!(false)){
if(data35.pullA === undefined){
const err106 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "pullA"},message:"must have required property '"+"pullA"+"'"};
if(vErrors === null){
vErrors = [err106];
}
else {
vErrors.push(err106);
}
errors++;
}
}
if(!(false)){
if(data35.sensing === undefined){
const err107 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/required",keyword:"required",params:{missingProperty: "sensing"},message:"must have required property '"+"sensing"+"'"};
if(vErrors === null){
vErrors = [err107];
}
else {
vErrors.push(err107);
}
errors++;
}
}
for(const key5 in data35){
if(!(func2.call(schema19.properties.lock.properties, key5))){
const err108 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key5},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err108];
}
else {
vErrors.push(err108);
}
errors++;
}
}
if(data35.principle !== undefined){
let data36 = data35.principle;
if(!(((data36 === "magnetic") || (data36 === "strike")) || (data36 === "motor"))){
const err109 = {instancePath:instancePath+"/lock/principle",schemaPath:"#/properties/lock/properties/principle/enum",keyword:"enum",params:{allowedValues: schema19.properties.lock.properties.principle.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err109];
}
else {
vErrors.push(err109);
}
errors++;
}
}
if(data35.fail !== undefined){
let data37 = data35.fail;
if(!((data37 === "safe") || (data37 === "secure"))){
const err110 = {instancePath:instancePath+"/lock/fail",schemaPath:"#/properties/lock/properties/fail/enum",keyword:"enum",params:{allowedValues: schema19.properties.lock.properties.fail.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err110];
}
else {
vErrors.push(err110);
}
errors++;
}
}
if(data35.current !== undefined){
let data38 = data35.current;
if(!((data38 === "direct") || (data38 === "alternating"))){
const err111 = {instancePath:instancePath+"/lock/current",schemaPath:"#/properties/lock/properties/current/enum",keyword:"enum",params:{allowedValues: schema19.properties.lock.properties.current.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err111];
}
else {
vErrors.push(err111);
}
errors++;
}
}
if(data35.nominalV !== undefined){
let data39 = data35.nominalV;
if(typeof data39 == "number"){
if(data39 <= 0 || isNaN(data39)){
const err112 = {instancePath:instancePath+"/lock/nominalV",schemaPath:"#/properties/lock/properties/nominalV/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err112];
}
else {
vErrors.push(err112);
}
errors++;
}
}
else {
const err113 = {instancePath:instancePath+"/lock/nominalV",schemaPath:"#/properties/lock/properties/nominalV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err113];
}
else {
vErrors.push(err113);
}
errors++;
}
}
if(data35.leastV !== undefined){
let data40 = data35.leastV;
if(typeof data40 == "number"){
if(data40 <= 0 || isNaN(data40)){
const err114 = {instancePath:instancePath+"/lock/leastV",schemaPath:"#/properties/lock/properties/leastV/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err114];
}
else {
vErrors.push(err114);
}
errors++;
}
}
else {
const err115 = {instancePath:instancePath+"/lock/leastV",schemaPath:"#/properties/lock/properties/leastV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err115];
}
else {
vErrors.push(err115);
}
errors++;
}
}
if(data35.pullA !== undefined){
let data41 = data35.pullA;
if(typeof data41 == "number"){
if(data41 <= 0 || isNaN(data41)){
const err116 = {instancePath:instancePath+"/lock/pullA",schemaPath:"#/properties/lock/properties/pullA/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err116];
}
else {
vErrors.push(err116);
}
errors++;
}
}
else {
const err117 = {instancePath:instancePath+"/lock/pullA",schemaPath:"#/properties/lock/properties/pullA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err117];
}
else {
vErrors.push(err117);
}
errors++;
}
}
if(data35.pullMs !== undefined){
let data42 = data35.pullMs;
if(typeof data42 == "number"){
if(data42 <= 0 || isNaN(data42)){
const err118 = {instancePath:instancePath+"/lock/pullMs",schemaPath:"#/properties/lock/properties/pullMs/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err118];
}
else {
vErrors.push(err118);
}
errors++;
}
}
else {
const err119 = {instancePath:instancePath+"/lock/pullMs",schemaPath:"#/properties/lock/properties/pullMs/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err119];
}
else {
vErrors.push(err119);
}
errors++;
}
}
if(data35.holdA !== undefined){
let data43 = data35.holdA;
if(typeof data43 == "number"){
if(data43 < 0 || isNaN(data43)){
const err120 = {instancePath:instancePath+"/lock/holdA",schemaPath:"#/properties/lock/properties/holdA/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err120];
}
else {
vErrors.push(err120);
}
errors++;
}
}
else {
const err121 = {instancePath:instancePath+"/lock/holdA",schemaPath:"#/properties/lock/properties/holdA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err121];
}
else {
vErrors.push(err121);
}
errors++;
}
}
if(data35.dropOutV !== undefined){
let data44 = data35.dropOutV;
if(typeof data44 == "number"){
if(data44 < 0 || isNaN(data44)){
const err122 = {instancePath:instancePath+"/lock/dropOutV",schemaPath:"#/properties/lock/properties/dropOutV/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err122];
}
else {
vErrors.push(err122);
}
errors++;
}
}
else {
const err123 = {instancePath:instancePath+"/lock/dropOutV",schemaPath:"#/properties/lock/properties/dropOutV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err123];
}
else {
vErrors.push(err123);
}
errors++;
}
}
if(data35.duty !== undefined){
let data45 = data35.duty;
if(typeof data45 == "number"){
if(data45 > 1 || isNaN(data45)){
const err124 = {instancePath:instancePath+"/lock/duty",schemaPath:"#/properties/lock/properties/duty/maximum",keyword:"maximum",params:{comparison: "<=", limit: 1},message:"must be <= 1"};
if(vErrors === null){
vErrors = [err124];
}
else {
vErrors.push(err124);
}
errors++;
}
if(data45 <= 0 || isNaN(data45)){
const err125 = {instancePath:instancePath+"/lock/duty",schemaPath:"#/properties/lock/properties/duty/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err125];
}
else {
vErrors.push(err125);
}
errors++;
}
}
else {
const err126 = {instancePath:instancePath+"/lock/duty",schemaPath:"#/properties/lock/properties/duty/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err126];
}
else {
vErrors.push(err126);
}
errors++;
}
}
if(data35.sensing !== undefined){
if(typeof data35.sensing !== "boolean"){
const err127 = {instancePath:instancePath+"/lock/sensing",schemaPath:"#/properties/lock/properties/sensing/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err127];
}
else {
vErrors.push(err127);
}
errors++;
}
}
if(data35.suppressionMs !== undefined){
let data47 = data35.suppressionMs;
if(typeof data47 == "number"){
if(data47 < 0 || isNaN(data47)){
const err128 = {instancePath:instancePath+"/lock/suppressionMs",schemaPath:"#/properties/lock/properties/suppressionMs/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err128];
}
else {
vErrors.push(err128);
}
errors++;
}
}
else {
const err129 = {instancePath:instancePath+"/lock/suppressionMs",schemaPath:"#/properties/lock/properties/suppressionMs/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err129];
}
else {
vErrors.push(err129);
}
errors++;
}
}
}
else {
const err130 = {instancePath:instancePath+"/lock",schemaPath:"#/properties/lock/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err130];
}
else {
vErrors.push(err130);
}
errors++;
}
}
if(data.controller !== undefined){
let data48 = data.controller;
if(data48 && typeof data48 == "object" && !Array.isArray(data48)){
if(!(false)){
if(data48.doors === undefined){
const err131 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "doors"},message:"must have required property '"+"doors"+"'"};
if(vErrors === null){
vErrors = [err131];
}
else {
vErrors.push(err131);
}
errors++;
}
}
if(!(false)){
if(data48.portGroups === undefined){
const err132 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "portGroups"},message:"must have required property '"+"portGroups"+"'"};
if(vErrors === null){
vErrors = [err132];
}
else {
vErrors.push(err132);
}
errors++;
}
}
if(!(false)){
if(data48.releaseStepS === undefined){
const err133 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "releaseStepS"},message:"must have required property '"+"releaseStepS"+"'"};
if(vErrors === null){
vErrors = [err133];
}
else {
vErrors.push(err133);
}
errors++;
}
}
if(!(false)){
if(data48.longestReleaseS === undefined){
const err134 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "longestReleaseS"},message:"must have required property '"+"longestReleaseS"+"'"};
if(vErrors === null){
vErrors = [err134];
}
else {
vErrors.push(err134);
}
errors++;
}
}
if(!(false)){
if(data48.cardFormats === undefined){
const err135 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "cardFormats"},message:"must have required property '"+"cardFormats"+"'"};
if(vErrors === null){
vErrors = [err135];
}
else {
vErrors.push(err135);
}
errors++;
}
}
if(!(false)){
if(data48.feedVolts === undefined){
const err136 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "feedVolts"},message:"must have required property '"+"feedVolts"+"'"};
if(vErrors === null){
vErrors = [err136];
}
else {
vErrors.push(err136);
}
errors++;
}
}
if(!(false)){
if(data48.feedA === undefined){
const err137 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "feedA"},message:"must have required property '"+"feedA"+"'"};
if(vErrors === null){
vErrors = [err137];
}
else {
vErrors.push(err137);
}
errors++;
}
}
if(!(false)){
if(data48.factory === undefined){
const err138 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "factory"},message:"must have required property '"+"factory"+"'"};
if(vErrors === null){
vErrors = [err138];
}
else {
vErrors.push(err138);
}
errors++;
}
}
if(!(false)){
if(data48.terminalOneAt === undefined){
const err139 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "terminalOneAt"},message:"must have required property '"+"terminalOneAt"+"'"};
if(vErrors === null){
vErrors = [err139];
}
else {
vErrors.push(err139);
}
errors++;
}
}
if(!(false)){
if(data48.reset === undefined){
const err140 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "reset"},message:"must have required property '"+"reset"+"'"};
if(vErrors === null){
vErrors = [err140];
}
else {
vErrors.push(err140);
}
errors++;
}
}
if(!(false)){
if(data48.lamps === undefined){
const err141 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "lamps"},message:"must have required property '"+"lamps"+"'"};
if(vErrors === null){
vErrors = [err141];
}
else {
vErrors.push(err141);
}
errors++;
}
}
if(!(false)){
if(data48.cabinet === undefined){
const err142 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/required",keyword:"required",params:{missingProperty: "cabinet"},message:"must have required property '"+"cabinet"+"'"};
if(vErrors === null){
vErrors = [err142];
}
else {
vErrors.push(err142);
}
errors++;
}
}
for(const key6 in data48){
if(!(func2.call(schema19.properties.controller.properties, key6))){
const err143 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key6},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err143];
}
else {
vErrors.push(err143);
}
errors++;
}
}
if(data48.doors !== undefined){
let data49 = data48.doors;
if(!((typeof data49 == "number") && (!(data49 % 1) && !isNaN(data49)))){
const err144 = {instancePath:instancePath+"/controller/doors",schemaPath:"#/properties/controller/properties/doors/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err144];
}
else {
vErrors.push(err144);
}
errors++;
}
if(typeof data49 == "number"){
if(data49 < 0 || isNaN(data49)){
const err145 = {instancePath:instancePath+"/controller/doors",schemaPath:"#/properties/controller/properties/doors/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err145];
}
else {
vErrors.push(err145);
}
errors++;
}
}
}
if(data48.portGroups !== undefined){
let data50 = data48.portGroups;
if(Array.isArray(data50)){
if(data50.length > 400){
const err146 = {instancePath:instancePath+"/controller/portGroups",schemaPath:"#/properties/controller/properties/portGroups/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err146];
}
else {
vErrors.push(err146);
}
errors++;
}
const len5 = data50.length;
for(let i5=0; i5<len5; i5++){
let data51 = data50[i5];
if(data51 && typeof data51 == "object" && !Array.isArray(data51)){
if(!(false)){
if(data51.id === undefined){
const err147 = {instancePath:instancePath+"/controller/portGroups/" + i5,schemaPath:"#/properties/controller/properties/portGroups/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err147];
}
else {
vErrors.push(err147);
}
errors++;
}
}
if(!(false)){
if(data51.name === undefined){
const err148 = {instancePath:instancePath+"/controller/portGroups/" + i5,schemaPath:"#/properties/controller/properties/portGroups/items/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err148];
}
else {
vErrors.push(err148);
}
errors++;
}
}
for(const key7 in data51){
if(!((key7 === "id") || (key7 === "name"))){
const err149 = {instancePath:instancePath+"/controller/portGroups/" + i5,schemaPath:"#/properties/controller/properties/portGroups/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key7},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err149];
}
else {
vErrors.push(err149);
}
errors++;
}
}
if(data51.id !== undefined){
let data52 = data51.id;
if(typeof data52 === "string"){
if(func3(data52) > 200){
const err150 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/id",schemaPath:"#/properties/controller/properties/portGroups/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err150];
}
else {
vErrors.push(err150);
}
errors++;
}
if(func3(data52) < 1){
const err151 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/id",schemaPath:"#/properties/controller/properties/portGroups/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err151];
}
else {
vErrors.push(err151);
}
errors++;
}
}
else {
const err152 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/id",schemaPath:"#/properties/controller/properties/portGroups/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err152];
}
else {
vErrors.push(err152);
}
errors++;
}
}
if(data51.name !== undefined){
let data53 = data51.name;
if(typeof data53 === "string"){
if(func3(data53) > 200){
const err153 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/name",schemaPath:"#/properties/controller/properties/portGroups/items/properties/name/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err153];
}
else {
vErrors.push(err153);
}
errors++;
}
if(func3(data53) < 1){
const err154 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/name",schemaPath:"#/properties/controller/properties/portGroups/items/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err154];
}
else {
vErrors.push(err154);
}
errors++;
}
}
else {
const err155 = {instancePath:instancePath+"/controller/portGroups/" + i5+"/name",schemaPath:"#/properties/controller/properties/portGroups/items/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err155];
}
else {
vErrors.push(err155);
}
errors++;
}
}
}
else {
const err156 = {instancePath:instancePath+"/controller/portGroups/" + i5,schemaPath:"#/properties/controller/properties/portGroups/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err156];
}
else {
vErrors.push(err156);
}
errors++;
}
}
}
else {
const err157 = {instancePath:instancePath+"/controller/portGroups",schemaPath:"#/properties/controller/properties/portGroups/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err157];
}
else {
vErrors.push(err157);
}
errors++;
}
}
if(data48.releaseStepS !== undefined){
let data54 = data48.releaseStepS;
if(typeof data54 == "number"){
if(data54 <= 0 || isNaN(data54)){
const err158 = {instancePath:instancePath+"/controller/releaseStepS",schemaPath:"#/properties/controller/properties/releaseStepS/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err158];
}
else {
vErrors.push(err158);
}
errors++;
}
}
else {
const err159 = {instancePath:instancePath+"/controller/releaseStepS",schemaPath:"#/properties/controller/properties/releaseStepS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err159];
}
else {
vErrors.push(err159);
}
errors++;
}
}
if(data48.longestReleaseS !== undefined){
let data55 = data48.longestReleaseS;
if(typeof data55 == "number"){
if(data55 <= 0 || isNaN(data55)){
const err160 = {instancePath:instancePath+"/controller/longestReleaseS",schemaPath:"#/properties/controller/properties/longestReleaseS/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err160];
}
else {
vErrors.push(err160);
}
errors++;
}
}
else {
const err161 = {instancePath:instancePath+"/controller/longestReleaseS",schemaPath:"#/properties/controller/properties/longestReleaseS/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err161];
}
else {
vErrors.push(err161);
}
errors++;
}
}
if(data48.cardFormats !== undefined){
let data56 = data48.cardFormats;
if(Array.isArray(data56)){
if(data56.length > 400){
const err162 = {instancePath:instancePath+"/controller/cardFormats",schemaPath:"#/properties/controller/properties/cardFormats/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err162];
}
else {
vErrors.push(err162);
}
errors++;
}
const len6 = data56.length;
for(let i6=0; i6<len6; i6++){
let data57 = data56[i6];
if(!((((data57 === "wiegand26") || (data57 === "wiegand34")) || (data57 === "serial4")) || (data57 === "serial7"))){
const err163 = {instancePath:instancePath+"/controller/cardFormats/" + i6,schemaPath:"#/properties/controller/properties/cardFormats/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.controller.properties.cardFormats.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err163];
}
else {
vErrors.push(err163);
}
errors++;
}
}
}
else {
const err164 = {instancePath:instancePath+"/controller/cardFormats",schemaPath:"#/properties/controller/properties/cardFormats/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err164];
}
else {
vErrors.push(err164);
}
errors++;
}
}
if(data48.ownFormats !== undefined){
let data58 = data48.ownFormats;
if(!((typeof data58 == "number") && (!(data58 % 1) && !isNaN(data58)))){
const err165 = {instancePath:instancePath+"/controller/ownFormats",schemaPath:"#/properties/controller/properties/ownFormats/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err165];
}
else {
vErrors.push(err165);
}
errors++;
}
if(typeof data58 == "number"){
if(data58 < 0 || isNaN(data58)){
const err166 = {instancePath:instancePath+"/controller/ownFormats",schemaPath:"#/properties/controller/properties/ownFormats/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err166];
}
else {
vErrors.push(err166);
}
errors++;
}
}
}
if(data48.bitOrders !== undefined){
let data59 = data48.bitOrders;
if(Array.isArray(data59)){
if(data59.length > 400){
const err167 = {instancePath:instancePath+"/controller/bitOrders",schemaPath:"#/properties/controller/properties/bitOrders/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err167];
}
else {
vErrors.push(err167);
}
errors++;
}
const len7 = data59.length;
for(let i7=0; i7<len7; i7++){
let data60 = data59[i7];
if(!(((data60 === "bitsReversed") || (data60 === "bytesReversed")) || (data60 === "bytesMirrored"))){
const err168 = {instancePath:instancePath+"/controller/bitOrders/" + i7,schemaPath:"#/properties/controller/properties/bitOrders/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.controller.properties.bitOrders.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err168];
}
else {
vErrors.push(err168);
}
errors++;
}
}
}
else {
const err169 = {instancePath:instancePath+"/controller/bitOrders",schemaPath:"#/properties/controller/properties/bitOrders/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err169];
}
else {
vErrors.push(err169);
}
errors++;
}
}
if(data48.feedVolts !== undefined){
let data61 = data48.feedVolts;
if(typeof data61 == "number"){
if(data61 < 0 || isNaN(data61)){
const err170 = {instancePath:instancePath+"/controller/feedVolts",schemaPath:"#/properties/controller/properties/feedVolts/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err170];
}
else {
vErrors.push(err170);
}
errors++;
}
}
else {
const err171 = {instancePath:instancePath+"/controller/feedVolts",schemaPath:"#/properties/controller/properties/feedVolts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err171];
}
else {
vErrors.push(err171);
}
errors++;
}
}
if(data48.feedA !== undefined){
let data62 = data48.feedA;
if(typeof data62 == "number"){
if(data62 < 0 || isNaN(data62)){
const err172 = {instancePath:instancePath+"/controller/feedA",schemaPath:"#/properties/controller/properties/feedA/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err172];
}
else {
vErrors.push(err172);
}
errors++;
}
}
else {
const err173 = {instancePath:instancePath+"/controller/feedA",schemaPath:"#/properties/controller/properties/feedA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err173];
}
else {
vErrors.push(err173);
}
errors++;
}
}
if(data48.factory !== undefined){
let data63 = data48.factory;
if(data63 && typeof data63 == "object" && !Array.isArray(data63)){
if(!(false)){
if(data63.address === undefined){
const err174 = {instancePath:instancePath+"/controller/factory",schemaPath:"#/properties/controller/properties/factory/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err174];
}
else {
vErrors.push(err174);
}
errors++;
}
}
if(!(false)){
if(data63.user === undefined){
const err175 = {instancePath:instancePath+"/controller/factory",schemaPath:"#/properties/controller/properties/factory/required",keyword:"required",params:{missingProperty: "user"},message:"must have required property '"+"user"+"'"};
if(vErrors === null){
vErrors = [err175];
}
else {
vErrors.push(err175);
}
errors++;
}
}
if(!(false)){
if(data63.password === undefined){
const err176 = {instancePath:instancePath+"/controller/factory",schemaPath:"#/properties/controller/properties/factory/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err176];
}
else {
vErrors.push(err176);
}
errors++;
}
}
for(const key8 in data63){
if(!(((key8 === "address") || (key8 === "user")) || (key8 === "password"))){
const err177 = {instancePath:instancePath+"/controller/factory",schemaPath:"#/properties/controller/properties/factory/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key8},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err177];
}
else {
vErrors.push(err177);
}
errors++;
}
}
if(data63.address !== undefined){
if(typeof data63.address !== "string"){
const err178 = {instancePath:instancePath+"/controller/factory/address",schemaPath:"#/properties/controller/properties/factory/properties/address/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err178];
}
else {
vErrors.push(err178);
}
errors++;
}
}
if(data63.user !== undefined){
if(typeof data63.user !== "string"){
const err179 = {instancePath:instancePath+"/controller/factory/user",schemaPath:"#/properties/controller/properties/factory/properties/user/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err179];
}
else {
vErrors.push(err179);
}
errors++;
}
}
if(data63.password !== undefined){
if(typeof data63.password !== "string"){
const err180 = {instancePath:instancePath+"/controller/factory/password",schemaPath:"#/properties/controller/properties/factory/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err180];
}
else {
vErrors.push(err180);
}
errors++;
}
}
}
else {
const err181 = {instancePath:instancePath+"/controller/factory",schemaPath:"#/properties/controller/properties/factory/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err181];
}
else {
vErrors.push(err181);
}
errors++;
}
}
if(data48.terminalOneAt !== undefined){
let data67 = data48.terminalOneAt;
if(!((data67 === "left") || (data67 === "right"))){
const err182 = {instancePath:instancePath+"/controller/terminalOneAt",schemaPath:"#/properties/controller/properties/terminalOneAt/enum",keyword:"enum",params:{allowedValues: schema19.properties.controller.properties.terminalOneAt.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err182];
}
else {
vErrors.push(err182);
}
errors++;
}
}
if(data48.reset !== undefined){
let data68 = data48.reset;
if(Array.isArray(data68)){
if(data68.length > 400){
const err183 = {instancePath:instancePath+"/controller/reset",schemaPath:"#/properties/controller/properties/reset/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err183];
}
else {
vErrors.push(err183);
}
errors++;
}
const len8 = data68.length;
for(let i8=0; i8<len8; i8++){
let data69 = data68[i8];
if(data69 && typeof data69 == "object" && !Array.isArray(data69)){
if(!(false)){
if(data69.says === undefined){
const err184 = {instancePath:instancePath+"/controller/reset/" + i8,schemaPath:"#/properties/controller/properties/reset/items/required",keyword:"required",params:{missingProperty: "says"},message:"must have required property '"+"says"+"'"};
if(vErrors === null){
vErrors = [err184];
}
else {
vErrors.push(err184);
}
errors++;
}
}
if(!(false)){
if(data69.seconds === undefined){
const err185 = {instancePath:instancePath+"/controller/reset/" + i8,schemaPath:"#/properties/controller/properties/reset/items/required",keyword:"required",params:{missingProperty: "seconds"},message:"must have required property '"+"seconds"+"'"};
if(vErrors === null){
vErrors = [err185];
}
else {
vErrors.push(err185);
}
errors++;
}
}
for(const key9 in data69){
if(!(((key9 === "says") || (key9 === "seconds")) || (key9 === "holds"))){
const err186 = {instancePath:instancePath+"/controller/reset/" + i8,schemaPath:"#/properties/controller/properties/reset/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key9},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err186];
}
else {
vErrors.push(err186);
}
errors++;
}
}
if(data69.says !== undefined){
let data70 = data69.says;
if(typeof data70 === "string"){
if(func3(data70) > 200){
const err187 = {instancePath:instancePath+"/controller/reset/" + i8+"/says",schemaPath:"#/properties/controller/properties/reset/items/properties/says/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err187];
}
else {
vErrors.push(err187);
}
errors++;
}
if(func3(data70) < 1){
const err188 = {instancePath:instancePath+"/controller/reset/" + i8+"/says",schemaPath:"#/properties/controller/properties/reset/items/properties/says/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err188];
}
else {
vErrors.push(err188);
}
errors++;
}
}
else {
const err189 = {instancePath:instancePath+"/controller/reset/" + i8+"/says",schemaPath:"#/properties/controller/properties/reset/items/properties/says/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err189];
}
else {
vErrors.push(err189);
}
errors++;
}
}
if(data69.seconds !== undefined){
let data71 = data69.seconds;
if(typeof data71 == "number"){
if(data71 < 0 || isNaN(data71)){
const err190 = {instancePath:instancePath+"/controller/reset/" + i8+"/seconds",schemaPath:"#/properties/controller/properties/reset/items/properties/seconds/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err190];
}
else {
vErrors.push(err190);
}
errors++;
}
}
else {
const err191 = {instancePath:instancePath+"/controller/reset/" + i8+"/seconds",schemaPath:"#/properties/controller/properties/reset/items/properties/seconds/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err191];
}
else {
vErrors.push(err191);
}
errors++;
}
}
if(data69.holds !== undefined){
if(true !== data69.holds){
const err192 = {instancePath:instancePath+"/controller/reset/" + i8+"/holds",schemaPath:"#/properties/controller/properties/reset/items/properties/holds/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err192];
}
else {
vErrors.push(err192);
}
errors++;
}
}
}
else {
const err193 = {instancePath:instancePath+"/controller/reset/" + i8,schemaPath:"#/properties/controller/properties/reset/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err193];
}
else {
vErrors.push(err193);
}
errors++;
}
}
}
else {
const err194 = {instancePath:instancePath+"/controller/reset",schemaPath:"#/properties/controller/properties/reset/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err194];
}
else {
vErrors.push(err194);
}
errors++;
}
}
if(data48.lamps !== undefined){
let data73 = data48.lamps;
if(Array.isArray(data73)){
if(data73.length > 400){
const err195 = {instancePath:instancePath+"/controller/lamps",schemaPath:"#/properties/controller/properties/lamps/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err195];
}
else {
vErrors.push(err195);
}
errors++;
}
const len9 = data73.length;
for(let i9=0; i9<len9; i9++){
let data74 = data73[i9];
if(data74 && typeof data74 == "object" && !Array.isArray(data74)){
if(!(false)){
if(data74.lamp === undefined){
const err196 = {instancePath:instancePath+"/controller/lamps/" + i9,schemaPath:"#/properties/controller/properties/lamps/items/required",keyword:"required",params:{missingProperty: "lamp"},message:"must have required property '"+"lamp"+"'"};
if(vErrors === null){
vErrors = [err196];
}
else {
vErrors.push(err196);
}
errors++;
}
}
if(!(false)){
if(data74.means === undefined){
const err197 = {instancePath:instancePath+"/controller/lamps/" + i9,schemaPath:"#/properties/controller/properties/lamps/items/required",keyword:"required",params:{missingProperty: "means"},message:"must have required property '"+"means"+"'"};
if(vErrors === null){
vErrors = [err197];
}
else {
vErrors.push(err197);
}
errors++;
}
}
for(const key10 in data74){
if(!((key10 === "lamp") || (key10 === "means"))){
const err198 = {instancePath:instancePath+"/controller/lamps/" + i9,schemaPath:"#/properties/controller/properties/lamps/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key10},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err198];
}
else {
vErrors.push(err198);
}
errors++;
}
}
if(data74.lamp !== undefined){
let data75 = data74.lamp;
if(typeof data75 === "string"){
if(func3(data75) > 200){
const err199 = {instancePath:instancePath+"/controller/lamps/" + i9+"/lamp",schemaPath:"#/properties/controller/properties/lamps/items/properties/lamp/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err199];
}
else {
vErrors.push(err199);
}
errors++;
}
if(func3(data75) < 1){
const err200 = {instancePath:instancePath+"/controller/lamps/" + i9+"/lamp",schemaPath:"#/properties/controller/properties/lamps/items/properties/lamp/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err200];
}
else {
vErrors.push(err200);
}
errors++;
}
}
else {
const err201 = {instancePath:instancePath+"/controller/lamps/" + i9+"/lamp",schemaPath:"#/properties/controller/properties/lamps/items/properties/lamp/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err201];
}
else {
vErrors.push(err201);
}
errors++;
}
}
if(data74.means !== undefined){
let data76 = data74.means;
if(typeof data76 === "string"){
if(func3(data76) > 200){
const err202 = {instancePath:instancePath+"/controller/lamps/" + i9+"/means",schemaPath:"#/properties/controller/properties/lamps/items/properties/means/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err202];
}
else {
vErrors.push(err202);
}
errors++;
}
if(func3(data76) < 1){
const err203 = {instancePath:instancePath+"/controller/lamps/" + i9+"/means",schemaPath:"#/properties/controller/properties/lamps/items/properties/means/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err203];
}
else {
vErrors.push(err203);
}
errors++;
}
}
else {
const err204 = {instancePath:instancePath+"/controller/lamps/" + i9+"/means",schemaPath:"#/properties/controller/properties/lamps/items/properties/means/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err204];
}
else {
vErrors.push(err204);
}
errors++;
}
}
}
else {
const err205 = {instancePath:instancePath+"/controller/lamps/" + i9,schemaPath:"#/properties/controller/properties/lamps/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err205];
}
else {
vErrors.push(err205);
}
errors++;
}
}
}
else {
const err206 = {instancePath:instancePath+"/controller/lamps",schemaPath:"#/properties/controller/properties/lamps/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err206];
}
else {
vErrors.push(err206);
}
errors++;
}
}
if(data48.cabinet !== undefined){
let data77 = data48.cabinet;
if(Array.isArray(data77)){
if(data77.length > 400){
const err207 = {instancePath:instancePath+"/controller/cabinet",schemaPath:"#/properties/controller/properties/cabinet/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err207];
}
else {
vErrors.push(err207);
}
errors++;
}
const len10 = data77.length;
for(let i10=0; i10<len10; i10++){
let data78 = data77[i10];
if(data78 && typeof data78 == "object" && !Array.isArray(data78)){
if(!(false)){
if(data78.id === undefined){
const err208 = {instancePath:instancePath+"/controller/cabinet/" + i10,schemaPath:"#/properties/controller/properties/cabinet/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err208];
}
else {
vErrors.push(err208);
}
errors++;
}
}
if(!(false)){
if(data78.says === undefined){
const err209 = {instancePath:instancePath+"/controller/cabinet/" + i10,schemaPath:"#/properties/controller/properties/cabinet/items/required",keyword:"required",params:{missingProperty: "says"},message:"must have required property '"+"says"+"'"};
if(vErrors === null){
vErrors = [err209];
}
else {
vErrors.push(err209);
}
errors++;
}
}
for(const key11 in data78){
if(!(((key11 === "id") || (key11 === "says")) || (key11 === "after"))){
const err210 = {instancePath:instancePath+"/controller/cabinet/" + i10,schemaPath:"#/properties/controller/properties/cabinet/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key11},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err210];
}
else {
vErrors.push(err210);
}
errors++;
}
}
if(data78.id !== undefined){
let data79 = data78.id;
if(typeof data79 === "string"){
if(func3(data79) > 200){
const err211 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/id",schemaPath:"#/properties/controller/properties/cabinet/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err211];
}
else {
vErrors.push(err211);
}
errors++;
}
if(func3(data79) < 1){
const err212 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/id",schemaPath:"#/properties/controller/properties/cabinet/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err212];
}
else {
vErrors.push(err212);
}
errors++;
}
}
else {
const err213 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/id",schemaPath:"#/properties/controller/properties/cabinet/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err213];
}
else {
vErrors.push(err213);
}
errors++;
}
}
if(data78.says !== undefined){
let data80 = data78.says;
if(typeof data80 === "string"){
if(func3(data80) > 200){
const err214 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/says",schemaPath:"#/properties/controller/properties/cabinet/items/properties/says/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err214];
}
else {
vErrors.push(err214);
}
errors++;
}
if(func3(data80) < 1){
const err215 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/says",schemaPath:"#/properties/controller/properties/cabinet/items/properties/says/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err215];
}
else {
vErrors.push(err215);
}
errors++;
}
}
else {
const err216 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/says",schemaPath:"#/properties/controller/properties/cabinet/items/properties/says/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err216];
}
else {
vErrors.push(err216);
}
errors++;
}
}
if(data78.after !== undefined){
let data81 = data78.after;
if(Array.isArray(data81)){
if(data81.length > 400){
const err217 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/after",schemaPath:"#/properties/controller/properties/cabinet/items/properties/after/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err217];
}
else {
vErrors.push(err217);
}
errors++;
}
const len11 = data81.length;
for(let i11=0; i11<len11; i11++){
let data82 = data81[i11];
if(typeof data82 === "string"){
if(func3(data82) > 200){
const err218 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/after/" + i11,schemaPath:"#/properties/controller/properties/cabinet/items/properties/after/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err218];
}
else {
vErrors.push(err218);
}
errors++;
}
if(func3(data82) < 1){
const err219 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/after/" + i11,schemaPath:"#/properties/controller/properties/cabinet/items/properties/after/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err219];
}
else {
vErrors.push(err219);
}
errors++;
}
}
else {
const err220 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/after/" + i11,schemaPath:"#/properties/controller/properties/cabinet/items/properties/after/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err220];
}
else {
vErrors.push(err220);
}
errors++;
}
}
}
else {
const err221 = {instancePath:instancePath+"/controller/cabinet/" + i10+"/after",schemaPath:"#/properties/controller/properties/cabinet/items/properties/after/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err221];
}
else {
vErrors.push(err221);
}
errors++;
}
}
}
else {
const err222 = {instancePath:instancePath+"/controller/cabinet/" + i10,schemaPath:"#/properties/controller/properties/cabinet/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err222];
}
else {
vErrors.push(err222);
}
errors++;
}
}
}
else {
const err223 = {instancePath:instancePath+"/controller/cabinet",schemaPath:"#/properties/controller/properties/cabinet/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err223];
}
else {
vErrors.push(err223);
}
errors++;
}
}
if(data48.supervised !== undefined){
let data83 = data48.supervised;
if(data83 && typeof data83 == "object" && !Array.isArray(data83)){
if(!(false)){
if(data83.shortBelow === undefined){
const err224 = {instancePath:instancePath+"/controller/supervised",schemaPath:"#/properties/controller/properties/supervised/required",keyword:"required",params:{missingProperty: "shortBelow"},message:"must have required property '"+"shortBelow"+"'"};
if(vErrors === null){
vErrors = [err224];
}
else {
vErrors.push(err224);
}
errors++;
}
}
if(!(false)){
if(data83.closedBelow === undefined){
const err225 = {instancePath:instancePath+"/controller/supervised",schemaPath:"#/properties/controller/properties/supervised/required",keyword:"required",params:{missingProperty: "closedBelow"},message:"must have required property '"+"closedBelow"+"'"};
if(vErrors === null){
vErrors = [err225];
}
else {
vErrors.push(err225);
}
errors++;
}
}
if(!(false)){
if(data83.cutAbove === undefined){
const err226 = {instancePath:instancePath+"/controller/supervised",schemaPath:"#/properties/controller/properties/supervised/required",keyword:"required",params:{missingProperty: "cutAbove"},message:"must have required property '"+"cutAbove"+"'"};
if(vErrors === null){
vErrors = [err226];
}
else {
vErrors.push(err226);
}
errors++;
}
}
for(const key12 in data83){
if(!(((key12 === "shortBelow") || (key12 === "closedBelow")) || (key12 === "cutAbove"))){
const err227 = {instancePath:instancePath+"/controller/supervised",schemaPath:"#/properties/controller/properties/supervised/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key12},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err227];
}
else {
vErrors.push(err227);
}
errors++;
}
}
if(data83.shortBelow !== undefined){
let data84 = data83.shortBelow;
if(typeof data84 == "number"){
if(data84 <= 0 || isNaN(data84)){
const err228 = {instancePath:instancePath+"/controller/supervised/shortBelow",schemaPath:"#/properties/controller/properties/supervised/properties/shortBelow/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err228];
}
else {
vErrors.push(err228);
}
errors++;
}
}
else {
const err229 = {instancePath:instancePath+"/controller/supervised/shortBelow",schemaPath:"#/properties/controller/properties/supervised/properties/shortBelow/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err229];
}
else {
vErrors.push(err229);
}
errors++;
}
}
if(data83.closedBelow !== undefined){
let data85 = data83.closedBelow;
if(typeof data85 == "number"){
if(data85 <= 0 || isNaN(data85)){
const err230 = {instancePath:instancePath+"/controller/supervised/closedBelow",schemaPath:"#/properties/controller/properties/supervised/properties/closedBelow/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err230];
}
else {
vErrors.push(err230);
}
errors++;
}
}
else {
const err231 = {instancePath:instancePath+"/controller/supervised/closedBelow",schemaPath:"#/properties/controller/properties/supervised/properties/closedBelow/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err231];
}
else {
vErrors.push(err231);
}
errors++;
}
}
if(data83.cutAbove !== undefined){
let data86 = data83.cutAbove;
if(typeof data86 == "number"){
if(data86 <= 0 || isNaN(data86)){
const err232 = {instancePath:instancePath+"/controller/supervised/cutAbove",schemaPath:"#/properties/controller/properties/supervised/properties/cutAbove/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err232];
}
else {
vErrors.push(err232);
}
errors++;
}
}
else {
const err233 = {instancePath:instancePath+"/controller/supervised/cutAbove",schemaPath:"#/properties/controller/properties/supervised/properties/cutAbove/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err233];
}
else {
vErrors.push(err233);
}
errors++;
}
}
}
else {
const err234 = {instancePath:instancePath+"/controller/supervised",schemaPath:"#/properties/controller/properties/supervised/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err234];
}
else {
vErrors.push(err234);
}
errors++;
}
}
if(data48.limitedRights !== undefined){
if(true !== data48.limitedRights){
const err235 = {instancePath:instancePath+"/controller/limitedRights",schemaPath:"#/properties/controller/properties/limitedRights/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err235];
}
else {
vErrors.push(err235);
}
errors++;
}
}
if(data48.functions !== undefined){
let data88 = data48.functions;
if(Array.isArray(data88)){
if(data88.length > 400){
const err236 = {instancePath:instancePath+"/controller/functions",schemaPath:"#/properties/controller/properties/functions/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err236];
}
else {
vErrors.push(err236);
}
errors++;
}
const len12 = data88.length;
for(let i12=0; i12<len12; i12++){
let data89 = data88[i12];
if(!((((((((((((((((((((((data89 === "entryReader") || (data89 === "exitReader")) || (data89 === "lock")) || (data89 === "secondLock")) || (data89 === "opener")) || (data89 === "contact")) || (data89 === "secondContact")) || (data89 === "lockSensing")) || (data89 === "exitButton")) || (data89 === "exitSensor")) || (data89 === "deskButton")) || (data89 === "glassPole")) || (data89 === "tamper")) || (data89 === "spare")) || (data89 === "sounder")) || (data89 === "signal")) || (data89 === "panelSet")) || (data89 === "panelUnset")) || (data89 === "panelToggle")) || (data89 === "panelState")) || (data89 === "emergencyRelease")) || (data89 === "feed"))){
const err237 = {instancePath:instancePath+"/controller/functions/" + i12,schemaPath:"#/properties/controller/properties/functions/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.controller.properties.functions.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err237];
}
else {
vErrors.push(err237);
}
errors++;
}
}
}
else {
const err238 = {instancePath:instancePath+"/controller/functions",schemaPath:"#/properties/controller/properties/functions/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err238];
}
else {
vErrors.push(err238);
}
errors++;
}
}
if(data48.abilities !== undefined){
let data90 = data48.abilities;
if(Array.isArray(data90)){
if(data90.length > 400){
const err239 = {instancePath:instancePath+"/controller/abilities",schemaPath:"#/properties/controller/properties/abilities/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err239];
}
else {
vErrors.push(err239);
}
errors++;
}
const len13 = data90.length;
for(let i13=0; i13<len13; i13++){
let data91 = data90[i13];
if(!((((((((((data91 === "preAlarm") || (data91 === "unlockDelay")) || (data91 === "relockAtOpening")) || (data91 === "ownHours")) || (data91 === "firstPerson")) || (data91 === "twoPeople")) || (data91 === "reentry")) || (data91 === "passback")) || (data91 === "codes")) || (data91 === "serverDecides"))){
const err240 = {instancePath:instancePath+"/controller/abilities/" + i13,schemaPath:"#/properties/controller/properties/abilities/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.controller.properties.abilities.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err240];
}
else {
vErrors.push(err240);
}
errors++;
}
}
}
else {
const err241 = {instancePath:instancePath+"/controller/abilities",schemaPath:"#/properties/controller/properties/abilities/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err241];
}
else {
vErrors.push(err241);
}
errors++;
}
}
if(data48.reactions !== undefined){
let data92 = data48.reactions;
if(!((typeof data92 == "number") && (!(data92 % 1) && !isNaN(data92)))){
const err242 = {instancePath:instancePath+"/controller/reactions",schemaPath:"#/properties/controller/properties/reactions/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err242];
}
else {
vErrors.push(err242);
}
errors++;
}
if(typeof data92 == "number"){
if(data92 < 0 || isNaN(data92)){
const err243 = {instancePath:instancePath+"/controller/reactions",schemaPath:"#/properties/controller/properties/reactions/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err243];
}
else {
vErrors.push(err243);
}
errors++;
}
}
}
if(data48.times !== undefined){
let data93 = data48.times;
if(data93 && typeof data93 == "object" && !Array.isArray(data93)){
if(!(false)){
if(data93.schedules === undefined){
const err244 = {instancePath:instancePath+"/controller/times",schemaPath:"#/properties/controller/properties/times/required",keyword:"required",params:{missingProperty: "schedules"},message:"must have required property '"+"schedules"+"'"};
if(vErrors === null){
vErrors = [err244];
}
else {
vErrors.push(err244);
}
errors++;
}
}
if(!(false)){
if(data93.periodsADay === undefined){
const err245 = {instancePath:instancePath+"/controller/times",schemaPath:"#/properties/controller/properties/times/required",keyword:"required",params:{missingProperty: "periodsADay"},message:"must have required property '"+"periodsADay"+"'"};
if(vErrors === null){
vErrors = [err245];
}
else {
vErrors.push(err245);
}
errors++;
}
}
if(!(false)){
if(data93.specialDays === undefined){
const err246 = {instancePath:instancePath+"/controller/times",schemaPath:"#/properties/controller/properties/times/required",keyword:"required",params:{missingProperty: "specialDays"},message:"must have required property '"+"specialDays"+"'"};
if(vErrors === null){
vErrors = [err246];
}
else {
vErrors.push(err246);
}
errors++;
}
}
for(const key13 in data93){
if(!(((key13 === "schedules") || (key13 === "periodsADay")) || (key13 === "specialDays"))){
const err247 = {instancePath:instancePath+"/controller/times",schemaPath:"#/properties/controller/properties/times/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key13},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err247];
}
else {
vErrors.push(err247);
}
errors++;
}
}
if(data93.schedules !== undefined){
let data94 = data93.schedules;
if(!((typeof data94 == "number") && (!(data94 % 1) && !isNaN(data94)))){
const err248 = {instancePath:instancePath+"/controller/times/schedules",schemaPath:"#/properties/controller/properties/times/properties/schedules/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err248];
}
else {
vErrors.push(err248);
}
errors++;
}
if(typeof data94 == "number"){
if(data94 < 0 || isNaN(data94)){
const err249 = {instancePath:instancePath+"/controller/times/schedules",schemaPath:"#/properties/controller/properties/times/properties/schedules/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err249];
}
else {
vErrors.push(err249);
}
errors++;
}
}
}
if(data93.periodsADay !== undefined){
let data95 = data93.periodsADay;
if(!((typeof data95 == "number") && (!(data95 % 1) && !isNaN(data95)))){
const err250 = {instancePath:instancePath+"/controller/times/periodsADay",schemaPath:"#/properties/controller/properties/times/properties/periodsADay/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err250];
}
else {
vErrors.push(err250);
}
errors++;
}
if(typeof data95 == "number"){
if(data95 < 0 || isNaN(data95)){
const err251 = {instancePath:instancePath+"/controller/times/periodsADay",schemaPath:"#/properties/controller/properties/times/properties/periodsADay/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err251];
}
else {
vErrors.push(err251);
}
errors++;
}
}
}
if(data93.specialDays !== undefined){
let data96 = data93.specialDays;
if(!((typeof data96 == "number") && (!(data96 % 1) && !isNaN(data96)))){
const err252 = {instancePath:instancePath+"/controller/times/specialDays",schemaPath:"#/properties/controller/properties/times/properties/specialDays/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err252];
}
else {
vErrors.push(err252);
}
errors++;
}
if(typeof data96 == "number"){
if(data96 < 0 || isNaN(data96)){
const err253 = {instancePath:instancePath+"/controller/times/specialDays",schemaPath:"#/properties/controller/properties/times/properties/specialDays/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err253];
}
else {
vErrors.push(err253);
}
errors++;
}
}
}
}
else {
const err254 = {instancePath:instancePath+"/controller/times",schemaPath:"#/properties/controller/properties/times/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err254];
}
else {
vErrors.push(err254);
}
errors++;
}
}
if(data48.ownReader !== undefined){
let data97 = data48.ownReader;
if(typeof data97 === "string"){
if(func3(data97) > 200){
const err255 = {instancePath:instancePath+"/controller/ownReader",schemaPath:"#/properties/controller/properties/ownReader/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err255];
}
else {
vErrors.push(err255);
}
errors++;
}
if(func3(data97) < 1){
const err256 = {instancePath:instancePath+"/controller/ownReader",schemaPath:"#/properties/controller/properties/ownReader/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err256];
}
else {
vErrors.push(err256);
}
errors++;
}
}
else {
const err257 = {instancePath:instancePath+"/controller/ownReader",schemaPath:"#/properties/controller/properties/ownReader/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err257];
}
else {
vErrors.push(err257);
}
errors++;
}
}
}
else {
const err258 = {instancePath:instancePath+"/controller",schemaPath:"#/properties/controller/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err258];
}
else {
vErrors.push(err258);
}
errors++;
}
}
if(data.supply !== undefined){
let data98 = data.supply;
if(data98 && typeof data98 == "object" && !Array.isArray(data98)){
if(!(false)){
if(data98.volts === undefined){
const err259 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/required",keyword:"required",params:{missingProperty: "volts"},message:"must have required property '"+"volts"+"'"};
if(vErrors === null){
vErrors = [err259];
}
else {
vErrors.push(err259);
}
errors++;
}
}
if(!(false)){
if(data98.amps === undefined){
const err260 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/required",keyword:"required",params:{missingProperty: "amps"},message:"must have required property '"+"amps"+"'"};
if(vErrors === null){
vErrors = [err260];
}
else {
vErrors.push(err260);
}
errors++;
}
}
if(!(false)){
if(data98.internalOhm === undefined){
const err261 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/required",keyword:"required",params:{missingProperty: "internalOhm"},message:"must have required property '"+"internalOhm"+"'"};
if(vErrors === null){
vErrors = [err261];
}
else {
vErrors.push(err261);
}
errors++;
}
}
for(const key14 in data98){
if(!(func2.call(schema19.properties.supply.properties, key14))){
const err262 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key14},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err262];
}
else {
vErrors.push(err262);
}
errors++;
}
}
if(data98.volts !== undefined){
let data99 = data98.volts;
if(typeof data99 == "number"){
if(data99 <= 0 || isNaN(data99)){
const err263 = {instancePath:instancePath+"/supply/volts",schemaPath:"#/properties/supply/properties/volts/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err263];
}
else {
vErrors.push(err263);
}
errors++;
}
}
else {
const err264 = {instancePath:instancePath+"/supply/volts",schemaPath:"#/properties/supply/properties/volts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err264];
}
else {
vErrors.push(err264);
}
errors++;
}
}
if(data98.amps !== undefined){
let data100 = data98.amps;
if(typeof data100 == "number"){
if(data100 <= 0 || isNaN(data100)){
const err265 = {instancePath:instancePath+"/supply/amps",schemaPath:"#/properties/supply/properties/amps/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err265];
}
else {
vErrors.push(err265);
}
errors++;
}
}
else {
const err266 = {instancePath:instancePath+"/supply/amps",schemaPath:"#/properties/supply/properties/amps/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err266];
}
else {
vErrors.push(err266);
}
errors++;
}
}
if(data98.internalOhm !== undefined){
let data101 = data98.internalOhm;
if(typeof data101 == "number"){
if(data101 < 0 || isNaN(data101)){
const err267 = {instancePath:instancePath+"/supply/internalOhm",schemaPath:"#/properties/supply/properties/internalOhm/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err267];
}
else {
vErrors.push(err267);
}
errors++;
}
}
else {
const err268 = {instancePath:instancePath+"/supply/internalOhm",schemaPath:"#/properties/supply/properties/internalOhm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err268];
}
else {
vErrors.push(err268);
}
errors++;
}
}
if(data98.floatV !== undefined){
let data102 = data98.floatV;
if(typeof data102 == "number"){
if(data102 <= 0 || isNaN(data102)){
const err269 = {instancePath:instancePath+"/supply/floatV",schemaPath:"#/properties/supply/properties/floatV/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err269];
}
else {
vErrors.push(err269);
}
errors++;
}
}
else {
const err270 = {instancePath:instancePath+"/supply/floatV",schemaPath:"#/properties/supply/properties/floatV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err270];
}
else {
vErrors.push(err270);
}
errors++;
}
}
if(data98.endV !== undefined){
let data103 = data98.endV;
if(typeof data103 == "number"){
if(data103 <= 0 || isNaN(data103)){
const err271 = {instancePath:instancePath+"/supply/endV",schemaPath:"#/properties/supply/properties/endV/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err271];
}
else {
vErrors.push(err271);
}
errors++;
}
}
else {
const err272 = {instancePath:instancePath+"/supply/endV",schemaPath:"#/properties/supply/properties/endV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err272];
}
else {
vErrors.push(err272);
}
errors++;
}
}
if(data98.chargerA !== undefined){
let data104 = data98.chargerA;
if(typeof data104 == "number"){
if(data104 < 0 || isNaN(data104)){
const err273 = {instancePath:instancePath+"/supply/chargerA",schemaPath:"#/properties/supply/properties/chargerA/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err273];
}
else {
vErrors.push(err273);
}
errors++;
}
}
else {
const err274 = {instancePath:instancePath+"/supply/chargerA",schemaPath:"#/properties/supply/properties/chargerA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err274];
}
else {
vErrors.push(err274);
}
errors++;
}
}
if(data98.battery !== undefined){
let data105 = data98.battery;
if(data105 && typeof data105 == "object" && !Array.isArray(data105)){
if(!(false)){
if(data105.volts === undefined){
const err275 = {instancePath:instancePath+"/supply/battery",schemaPath:"#/properties/supply/properties/battery/required",keyword:"required",params:{missingProperty: "volts"},message:"must have required property '"+"volts"+"'"};
if(vErrors === null){
vErrors = [err275];
}
else {
vErrors.push(err275);
}
errors++;
}
}
if(!(false)){
if(data105.peukert === undefined){
const err276 = {instancePath:instancePath+"/supply/battery",schemaPath:"#/properties/supply/properties/battery/required",keyword:"required",params:{missingProperty: "peukert"},message:"must have required property '"+"peukert"+"'"};
if(vErrors === null){
vErrors = [err276];
}
else {
vErrors.push(err276);
}
errors++;
}
}
for(const key15 in data105){
if(!((key15 === "volts") || (key15 === "peukert"))){
const err277 = {instancePath:instancePath+"/supply/battery",schemaPath:"#/properties/supply/properties/battery/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key15},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err277];
}
else {
vErrors.push(err277);
}
errors++;
}
}
if(data105.volts !== undefined){
let data106 = data105.volts;
if(typeof data106 == "number"){
if(data106 <= 0 || isNaN(data106)){
const err278 = {instancePath:instancePath+"/supply/battery/volts",schemaPath:"#/properties/supply/properties/battery/properties/volts/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err278];
}
else {
vErrors.push(err278);
}
errors++;
}
}
else {
const err279 = {instancePath:instancePath+"/supply/battery/volts",schemaPath:"#/properties/supply/properties/battery/properties/volts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err279];
}
else {
vErrors.push(err279);
}
errors++;
}
}
if(data105.peukert !== undefined){
let data107 = data105.peukert;
const _errs215 = errors;
let valid44 = false;
const _errs216 = errors;
if(typeof data107 == "number"){
if(data107 > 2 || isNaN(data107)){
const err280 = {instancePath:instancePath+"/supply/battery/peukert",schemaPath:"#/properties/supply/properties/battery/properties/peukert/anyOf/0/maximum",keyword:"maximum",params:{comparison: "<=", limit: 2},message:"must be <= 2"};
if(vErrors === null){
vErrors = [err280];
}
else {
vErrors.push(err280);
}
errors++;
}
if(data107 < 1 || isNaN(data107)){
const err281 = {instancePath:instancePath+"/supply/battery/peukert",schemaPath:"#/properties/supply/properties/battery/properties/peukert/anyOf/0/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err281];
}
else {
vErrors.push(err281);
}
errors++;
}
}
else {
const err282 = {instancePath:instancePath+"/supply/battery/peukert",schemaPath:"#/properties/supply/properties/battery/properties/peukert/anyOf/0/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err282];
}
else {
vErrors.push(err282);
}
errors++;
}
var _valid0 = _errs216 === errors;
valid44 = valid44 || _valid0;
if(!valid44){
const _errs218 = errors;
if(data107 !== null){
const err283 = {instancePath:instancePath+"/supply/battery/peukert",schemaPath:"#/properties/supply/properties/battery/properties/peukert/anyOf/1/type",keyword:"type",params:{type: "null"},message:"must be null"};
if(vErrors === null){
vErrors = [err283];
}
else {
vErrors.push(err283);
}
errors++;
}
var _valid0 = _errs218 === errors;
valid44 = valid44 || _valid0;
}
if(!valid44){
const err284 = {instancePath:instancePath+"/supply/battery/peukert",schemaPath:"#/properties/supply/properties/battery/properties/peukert/anyOf",keyword:"anyOf",params:{},message:"must match a schema in anyOf"};
if(vErrors === null){
vErrors = [err284];
}
else {
vErrors.push(err284);
}
errors++;
}
else {
errors = _errs215;
if(vErrors !== null){
if(_errs215){
vErrors.length = _errs215;
}
else {
vErrors = null;
}
}
}
}
}
else {
const err285 = {instancePath:instancePath+"/supply/battery",schemaPath:"#/properties/supply/properties/battery/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err285];
}
else {
vErrors.push(err285);
}
errors++;
}
}
if(data98.outputs !== undefined){
let data108 = data98.outputs;
if(Array.isArray(data108)){
if(data108.length > 400){
const err286 = {instancePath:instancePath+"/supply/outputs",schemaPath:"#/properties/supply/properties/outputs/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err286];
}
else {
vErrors.push(err286);
}
errors++;
}
const len14 = data108.length;
for(let i14=0; i14<len14; i14++){
let data109 = data108[i14];
if(data109 && typeof data109 == "object" && !Array.isArray(data109)){
if(!(false)){
if(data109.id === undefined){
const err287 = {instancePath:instancePath+"/supply/outputs/" + i14,schemaPath:"#/properties/supply/properties/outputs/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err287];
}
else {
vErrors.push(err287);
}
errors++;
}
}
if(!(false)){
if(data109.fuseA === undefined){
const err288 = {instancePath:instancePath+"/supply/outputs/" + i14,schemaPath:"#/properties/supply/properties/outputs/items/required",keyword:"required",params:{missingProperty: "fuseA"},message:"must have required property '"+"fuseA"+"'"};
if(vErrors === null){
vErrors = [err288];
}
else {
vErrors.push(err288);
}
errors++;
}
}
for(const key16 in data109){
if(!((key16 === "id") || (key16 === "fuseA"))){
const err289 = {instancePath:instancePath+"/supply/outputs/" + i14,schemaPath:"#/properties/supply/properties/outputs/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key16},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err289];
}
else {
vErrors.push(err289);
}
errors++;
}
}
if(data109.id !== undefined){
let data110 = data109.id;
if(typeof data110 === "string"){
if(func3(data110) > 200){
const err290 = {instancePath:instancePath+"/supply/outputs/" + i14+"/id",schemaPath:"#/properties/supply/properties/outputs/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err290];
}
else {
vErrors.push(err290);
}
errors++;
}
if(func3(data110) < 1){
const err291 = {instancePath:instancePath+"/supply/outputs/" + i14+"/id",schemaPath:"#/properties/supply/properties/outputs/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err291];
}
else {
vErrors.push(err291);
}
errors++;
}
}
else {
const err292 = {instancePath:instancePath+"/supply/outputs/" + i14+"/id",schemaPath:"#/properties/supply/properties/outputs/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err292];
}
else {
vErrors.push(err292);
}
errors++;
}
}
if(data109.fuseA !== undefined){
let data111 = data109.fuseA;
if(typeof data111 == "number"){
if(data111 <= 0 || isNaN(data111)){
const err293 = {instancePath:instancePath+"/supply/outputs/" + i14+"/fuseA",schemaPath:"#/properties/supply/properties/outputs/items/properties/fuseA/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err293];
}
else {
vErrors.push(err293);
}
errors++;
}
}
else {
const err294 = {instancePath:instancePath+"/supply/outputs/" + i14+"/fuseA",schemaPath:"#/properties/supply/properties/outputs/items/properties/fuseA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err294];
}
else {
vErrors.push(err294);
}
errors++;
}
}
}
else {
const err295 = {instancePath:instancePath+"/supply/outputs/" + i14,schemaPath:"#/properties/supply/properties/outputs/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err295];
}
else {
vErrors.push(err295);
}
errors++;
}
}
}
else {
const err296 = {instancePath:instancePath+"/supply/outputs",schemaPath:"#/properties/supply/properties/outputs/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err296];
}
else {
vErrors.push(err296);
}
errors++;
}
}
if(data98.tripA !== undefined){
let data112 = data98.tripA;
if(typeof data112 == "number"){
if(data112 <= 0 || isNaN(data112)){
const err297 = {instancePath:instancePath+"/supply/tripA",schemaPath:"#/properties/supply/properties/tripA/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err297];
}
else {
vErrors.push(err297);
}
errors++;
}
}
else {
const err298 = {instancePath:instancePath+"/supply/tripA",schemaPath:"#/properties/supply/properties/tripA/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err298];
}
else {
vErrors.push(err298);
}
errors++;
}
}
}
else {
const err299 = {instancePath:instancePath+"/supply",schemaPath:"#/properties/supply/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err299];
}
else {
vErrors.push(err299);
}
errors++;
}
}
if(data.operatingV !== undefined){
let data113 = data.operatingV;
if(data113 && typeof data113 == "object" && !Array.isArray(data113)){
if(!(false)){
if(data113.least === undefined){
const err300 = {instancePath:instancePath+"/operatingV",schemaPath:"#/properties/operatingV/required",keyword:"required",params:{missingProperty: "least"},message:"must have required property '"+"least"+"'"};
if(vErrors === null){
vErrors = [err300];
}
else {
vErrors.push(err300);
}
errors++;
}
}
if(!(false)){
if(data113.most === undefined){
const err301 = {instancePath:instancePath+"/operatingV",schemaPath:"#/properties/operatingV/required",keyword:"required",params:{missingProperty: "most"},message:"must have required property '"+"most"+"'"};
if(vErrors === null){
vErrors = [err301];
}
else {
vErrors.push(err301);
}
errors++;
}
}
for(const key17 in data113){
if(!((key17 === "least") || (key17 === "most"))){
const err302 = {instancePath:instancePath+"/operatingV",schemaPath:"#/properties/operatingV/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key17},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err302];
}
else {
vErrors.push(err302);
}
errors++;
}
}
if(data113.least !== undefined){
let data114 = data113.least;
if(typeof data114 == "number"){
if(data114 <= 0 || isNaN(data114)){
const err303 = {instancePath:instancePath+"/operatingV/least",schemaPath:"#/properties/operatingV/properties/least/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err303];
}
else {
vErrors.push(err303);
}
errors++;
}
}
else {
const err304 = {instancePath:instancePath+"/operatingV/least",schemaPath:"#/properties/operatingV/properties/least/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err304];
}
else {
vErrors.push(err304);
}
errors++;
}
}
if(data113.most !== undefined){
let data115 = data113.most;
if(typeof data115 == "number"){
if(data115 <= 0 || isNaN(data115)){
const err305 = {instancePath:instancePath+"/operatingV/most",schemaPath:"#/properties/operatingV/properties/most/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err305];
}
else {
vErrors.push(err305);
}
errors++;
}
}
else {
const err306 = {instancePath:instancePath+"/operatingV/most",schemaPath:"#/properties/operatingV/properties/most/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err306];
}
else {
vErrors.push(err306);
}
errors++;
}
}
}
else {
const err307 = {instancePath:instancePath+"/operatingV",schemaPath:"#/properties/operatingV/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err307];
}
else {
vErrors.push(err307);
}
errors++;
}
}
if(data.inrush !== undefined){
let data116 = data.inrush;
if(data116 && typeof data116 == "object" && !Array.isArray(data116)){
if(!(false)){
if(data116.amps === undefined){
const err308 = {instancePath:instancePath+"/inrush",schemaPath:"#/properties/inrush/required",keyword:"required",params:{missingProperty: "amps"},message:"must have required property '"+"amps"+"'"};
if(vErrors === null){
vErrors = [err308];
}
else {
vErrors.push(err308);
}
errors++;
}
}
if(!(false)){
if(data116.ms === undefined){
const err309 = {instancePath:instancePath+"/inrush",schemaPath:"#/properties/inrush/required",keyword:"required",params:{missingProperty: "ms"},message:"must have required property '"+"ms"+"'"};
if(vErrors === null){
vErrors = [err309];
}
else {
vErrors.push(err309);
}
errors++;
}
}
for(const key18 in data116){
if(!((key18 === "amps") || (key18 === "ms"))){
const err310 = {instancePath:instancePath+"/inrush",schemaPath:"#/properties/inrush/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key18},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err310];
}
else {
vErrors.push(err310);
}
errors++;
}
}
if(data116.amps !== undefined){
let data117 = data116.amps;
if(typeof data117 == "number"){
if(data117 <= 0 || isNaN(data117)){
const err311 = {instancePath:instancePath+"/inrush/amps",schemaPath:"#/properties/inrush/properties/amps/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err311];
}
else {
vErrors.push(err311);
}
errors++;
}
}
else {
const err312 = {instancePath:instancePath+"/inrush/amps",schemaPath:"#/properties/inrush/properties/amps/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err312];
}
else {
vErrors.push(err312);
}
errors++;
}
}
if(data116.ms !== undefined){
let data118 = data116.ms;
if(typeof data118 == "number"){
if(data118 <= 0 || isNaN(data118)){
const err313 = {instancePath:instancePath+"/inrush/ms",schemaPath:"#/properties/inrush/properties/ms/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err313];
}
else {
vErrors.push(err313);
}
errors++;
}
}
else {
const err314 = {instancePath:instancePath+"/inrush/ms",schemaPath:"#/properties/inrush/properties/ms/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err314];
}
else {
vErrors.push(err314);
}
errors++;
}
}
}
else {
const err315 = {instancePath:instancePath+"/inrush",schemaPath:"#/properties/inrush/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err315];
}
else {
vErrors.push(err315);
}
errors++;
}
}
if(data.reading !== undefined){
let data119 = data.reading;
if(data119 && typeof data119 == "object" && !Array.isArray(data119)){
if(!(false)){
if(data119.by === undefined){
const err316 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/required",keyword:"required",params:{missingProperty: "by"},message:"must have required property '"+"by"+"'"};
if(vErrors === null){
vErrors = [err316];
}
else {
vErrors.push(err316);
}
errors++;
}
}
if(!(false)){
if(data119.technologies === undefined){
const err317 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/required",keyword:"required",params:{missingProperty: "technologies"},message:"must have required property '"+"technologies"+"'"};
if(vErrors === null){
vErrors = [err317];
}
else {
vErrors.push(err317);
}
errors++;
}
}
if(!(false)){
if(data119.keypad === undefined){
const err318 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/required",keyword:"required",params:{missingProperty: "keypad"},message:"must have required property '"+"keypad"+"'"};
if(vErrors === null){
vErrors = [err318];
}
else {
vErrors.push(err318);
}
errors++;
}
}
if(!(false)){
if(data119.reachM === undefined){
const err319 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/required",keyword:"required",params:{missingProperty: "reachM"},message:"must have required property '"+"reachM"+"'"};
if(vErrors === null){
vErrors = [err319];
}
else {
vErrors.push(err319);
}
errors++;
}
}
for(const key19 in data119){
if(!((((((key19 === "by") || (key19 === "technologies")) || (key19 === "keypad")) || (key19 === "reachM")) || (key19 === "unitLoad")) || (key19 === "takes"))){
const err320 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key19},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err320];
}
else {
vErrors.push(err320);
}
errors++;
}
}
if(data119.by !== undefined){
let data120 = data119.by;
if(!((((data120 === "wiegand") || (data120 === "osdp")) || (data120 === "network")) || (data120 === "radio"))){
const err321 = {instancePath:instancePath+"/reading/by",schemaPath:"#/properties/reading/properties/by/enum",keyword:"enum",params:{allowedValues: schema19.properties.reading.properties.by.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err321];
}
else {
vErrors.push(err321);
}
errors++;
}
}
if(data119.technologies !== undefined){
let data121 = data119.technologies;
if(Array.isArray(data121)){
if(data121.length > 400){
const err322 = {instancePath:instancePath+"/reading/technologies",schemaPath:"#/properties/reading/properties/technologies/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err322];
}
else {
vErrors.push(err322);
}
errors++;
}
const len15 = data121.length;
for(let i15=0; i15<len15; i15++){
let data122 = data121[i15];
if(typeof data122 === "string"){
if(func3(data122) > 200){
const err323 = {instancePath:instancePath+"/reading/technologies/" + i15,schemaPath:"#/properties/reading/properties/technologies/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err323];
}
else {
vErrors.push(err323);
}
errors++;
}
if(func3(data122) < 1){
const err324 = {instancePath:instancePath+"/reading/technologies/" + i15,schemaPath:"#/properties/reading/properties/technologies/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err324];
}
else {
vErrors.push(err324);
}
errors++;
}
}
else {
const err325 = {instancePath:instancePath+"/reading/technologies/" + i15,schemaPath:"#/properties/reading/properties/technologies/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err325];
}
else {
vErrors.push(err325);
}
errors++;
}
}
}
else {
const err326 = {instancePath:instancePath+"/reading/technologies",schemaPath:"#/properties/reading/properties/technologies/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err326];
}
else {
vErrors.push(err326);
}
errors++;
}
}
if(data119.keypad !== undefined){
if(typeof data119.keypad !== "boolean"){
const err327 = {instancePath:instancePath+"/reading/keypad",schemaPath:"#/properties/reading/properties/keypad/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err327];
}
else {
vErrors.push(err327);
}
errors++;
}
}
if(data119.reachM !== undefined){
let data124 = data119.reachM;
if(typeof data124 == "number"){
if(data124 <= 0 || isNaN(data124)){
const err328 = {instancePath:instancePath+"/reading/reachM",schemaPath:"#/properties/reading/properties/reachM/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err328];
}
else {
vErrors.push(err328);
}
errors++;
}
}
else {
const err329 = {instancePath:instancePath+"/reading/reachM",schemaPath:"#/properties/reading/properties/reachM/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err329];
}
else {
vErrors.push(err329);
}
errors++;
}
}
if(data119.unitLoad !== undefined){
let data125 = data119.unitLoad;
if(typeof data125 == "number"){
if(data125 <= 0 || isNaN(data125)){
const err330 = {instancePath:instancePath+"/reading/unitLoad",schemaPath:"#/properties/reading/properties/unitLoad/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err330];
}
else {
vErrors.push(err330);
}
errors++;
}
}
else {
const err331 = {instancePath:instancePath+"/reading/unitLoad",schemaPath:"#/properties/reading/properties/unitLoad/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err331];
}
else {
vErrors.push(err331);
}
errors++;
}
}
if(data119.takes !== undefined){
let data126 = data119.takes;
if(Array.isArray(data126)){
if(data126.length > 400){
const err332 = {instancePath:instancePath+"/reading/takes",schemaPath:"#/properties/reading/properties/takes/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err332];
}
else {
vErrors.push(err332);
}
errors++;
}
const len16 = data126.length;
for(let i16=0; i16<len16; i16++){
let data127 = data126[i16];
if(!(((((data127 === "card") || (data127 === "code")) || (data127 === "finger")) || (data127 === "face")) || (data127 === "picture"))){
const err333 = {instancePath:instancePath+"/reading/takes/" + i16,schemaPath:"#/properties/reading/properties/takes/items/enum",keyword:"enum",params:{allowedValues: schema19.properties.reading.properties.takes.items.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err333];
}
else {
vErrors.push(err333);
}
errors++;
}
}
}
else {
const err334 = {instancePath:instancePath+"/reading/takes",schemaPath:"#/properties/reading/properties/takes/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err334];
}
else {
vErrors.push(err334);
}
errors++;
}
}
}
else {
const err335 = {instancePath:instancePath+"/reading",schemaPath:"#/properties/reading/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err335];
}
else {
vErrors.push(err335);
}
errors++;
}
}
if(data.coding !== undefined){
let data128 = data.coding;
if(data128 && typeof data128 == "object" && !Array.isArray(data128)){
if(!(false)){
if(data128.kind === undefined){
const err336 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err336];
}
else {
vErrors.push(err336);
}
errors++;
}
}
if(!(false)){
if(data128.positions === undefined){
const err337 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "positions"},message:"must have required property '"+"positions"+"'"};
if(vErrors === null){
vErrors = [err337];
}
else {
vErrors.push(err337);
}
errors++;
}
}
if(!(false)){
if(data128.order === undefined){
const err338 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "order"},message:"must have required property '"+"order"+"'"};
if(vErrors === null){
vErrors = [err338];
}
else {
vErrors.push(err338);
}
errors++;
}
}
if(!(false)){
if(data128.inverted === undefined){
const err339 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "inverted"},message:"must have required property '"+"inverted"+"'"};
if(vErrors === null){
vErrors = [err339];
}
else {
vErrors.push(err339);
}
errors++;
}
}
if(!(false)){
if(data128.offset === undefined){
const err340 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "offset"},message:"must have required property '"+"offset"+"'"};
if(vErrors === null){
vErrors = [err340];
}
else {
vErrors.push(err340);
}
errors++;
}
}
if(!(false)){
if(data128.factory === undefined){
const err341 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/required",keyword:"required",params:{missingProperty: "factory"},message:"must have required property '"+"factory"+"'"};
if(vErrors === null){
vErrors = [err341];
}
else {
vErrors.push(err341);
}
errors++;
}
}
for(const key20 in data128){
if(!(((((((key20 === "kind") || (key20 === "positions")) || (key20 === "order")) || (key20 === "inverted")) || (key20 === "offset")) || (key20 === "factory")) || (key20 === "says"))){
const err342 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key20},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err342];
}
else {
vErrors.push(err342);
}
errors++;
}
}
if(data128.kind !== undefined){
let data129 = data128.kind;
if(!((data129 === "binary") || (data129 === "decade"))){
const err343 = {instancePath:instancePath+"/coding/kind",schemaPath:"#/properties/coding/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.coding.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err343];
}
else {
vErrors.push(err343);
}
errors++;
}
}
if(data128.positions !== undefined){
let data130 = data128.positions;
if(!((typeof data130 == "number") && (!(data130 % 1) && !isNaN(data130)))){
const err344 = {instancePath:instancePath+"/coding/positions",schemaPath:"#/properties/coding/properties/positions/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err344];
}
else {
vErrors.push(err344);
}
errors++;
}
if(typeof data130 == "number"){
if(data130 > 12 || isNaN(data130)){
const err345 = {instancePath:instancePath+"/coding/positions",schemaPath:"#/properties/coding/properties/positions/maximum",keyword:"maximum",params:{comparison: "<=", limit: 12},message:"must be <= 12"};
if(vErrors === null){
vErrors = [err345];
}
else {
vErrors.push(err345);
}
errors++;
}
if(data130 < 1 || isNaN(data130)){
const err346 = {instancePath:instancePath+"/coding/positions",schemaPath:"#/properties/coding/properties/positions/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err346];
}
else {
vErrors.push(err346);
}
errors++;
}
}
}
if(data128.order !== undefined){
let data131 = data128.order;
if(!((data131 === "leastFirst") || (data131 === "mostFirst"))){
const err347 = {instancePath:instancePath+"/coding/order",schemaPath:"#/properties/coding/properties/order/enum",keyword:"enum",params:{allowedValues: schema19.properties.coding.properties.order.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err347];
}
else {
vErrors.push(err347);
}
errors++;
}
}
if(data128.inverted !== undefined){
if(typeof data128.inverted !== "boolean"){
const err348 = {instancePath:instancePath+"/coding/inverted",schemaPath:"#/properties/coding/properties/inverted/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err348];
}
else {
vErrors.push(err348);
}
errors++;
}
}
if(data128.offset !== undefined){
let data133 = data128.offset;
if(!((typeof data133 == "number") && (!(data133 % 1) && !isNaN(data133)))){
const err349 = {instancePath:instancePath+"/coding/offset",schemaPath:"#/properties/coding/properties/offset/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err349];
}
else {
vErrors.push(err349);
}
errors++;
}
if(typeof data133 == "number"){
if(data133 > 1000 || isNaN(data133)){
const err350 = {instancePath:instancePath+"/coding/offset",schemaPath:"#/properties/coding/properties/offset/maximum",keyword:"maximum",params:{comparison: "<=", limit: 1000},message:"must be <= 1000"};
if(vErrors === null){
vErrors = [err350];
}
else {
vErrors.push(err350);
}
errors++;
}
if(data133 < 0 || isNaN(data133)){
const err351 = {instancePath:instancePath+"/coding/offset",schemaPath:"#/properties/coding/properties/offset/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err351];
}
else {
vErrors.push(err351);
}
errors++;
}
}
}
if(data128.factory !== undefined){
let data134 = data128.factory;
if(Array.isArray(data134)){
if(data134.length > 400){
const err352 = {instancePath:instancePath+"/coding/factory",schemaPath:"#/properties/coding/properties/factory/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err352];
}
else {
vErrors.push(err352);
}
errors++;
}
const len17 = data134.length;
for(let i17=0; i17<len17; i17++){
let data135 = data134[i17];
if(!((typeof data135 == "number") && (!(data135 % 1) && !isNaN(data135)))){
const err353 = {instancePath:instancePath+"/coding/factory/" + i17,schemaPath:"#/properties/coding/properties/factory/items/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err353];
}
else {
vErrors.push(err353);
}
errors++;
}
if(typeof data135 == "number"){
if(data135 > 9 || isNaN(data135)){
const err354 = {instancePath:instancePath+"/coding/factory/" + i17,schemaPath:"#/properties/coding/properties/factory/items/maximum",keyword:"maximum",params:{comparison: "<=", limit: 9},message:"must be <= 9"};
if(vErrors === null){
vErrors = [err354];
}
else {
vErrors.push(err354);
}
errors++;
}
if(data135 < 0 || isNaN(data135)){
const err355 = {instancePath:instancePath+"/coding/factory/" + i17,schemaPath:"#/properties/coding/properties/factory/items/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err355];
}
else {
vErrors.push(err355);
}
errors++;
}
}
}
}
else {
const err356 = {instancePath:instancePath+"/coding/factory",schemaPath:"#/properties/coding/properties/factory/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err356];
}
else {
vErrors.push(err356);
}
errors++;
}
}
if(data128.says !== undefined){
let data136 = data128.says;
if(typeof data136 === "string"){
if(func3(data136) > 200){
const err357 = {instancePath:instancePath+"/coding/says",schemaPath:"#/properties/coding/properties/says/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err357];
}
else {
vErrors.push(err357);
}
errors++;
}
if(func3(data136) < 1){
const err358 = {instancePath:instancePath+"/coding/says",schemaPath:"#/properties/coding/properties/says/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err358];
}
else {
vErrors.push(err358);
}
errors++;
}
}
else {
const err359 = {instancePath:instancePath+"/coding/says",schemaPath:"#/properties/coding/properties/says/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err359];
}
else {
vErrors.push(err359);
}
errors++;
}
}
}
else {
const err360 = {instancePath:instancePath+"/coding",schemaPath:"#/properties/coding/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err360];
}
else {
vErrors.push(err360);
}
errors++;
}
}
if(data.jumpers !== undefined){
let data137 = data.jumpers;
if(Array.isArray(data137)){
if(data137.length > 400){
const err361 = {instancePath:instancePath+"/jumpers",schemaPath:"#/properties/jumpers/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err361];
}
else {
vErrors.push(err361);
}
errors++;
}
const len18 = data137.length;
for(let i18=0; i18<len18; i18++){
let data138 = data137[i18];
if(data138 && typeof data138 == "object" && !Array.isArray(data138)){
if(!(false)){
if(data138.id === undefined){
const err362 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err362];
}
else {
vErrors.push(err362);
}
errors++;
}
}
if(!(false)){
if(data138.says === undefined){
const err363 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/required",keyword:"required",params:{missingProperty: "says"},message:"must have required property '"+"says"+"'"};
if(vErrors === null){
vErrors = [err363];
}
else {
vErrors.push(err363);
}
errors++;
}
}
if(!(false)){
if(data138.positions === undefined){
const err364 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/required",keyword:"required",params:{missingProperty: "positions"},message:"must have required property '"+"positions"+"'"};
if(vErrors === null){
vErrors = [err364];
}
else {
vErrors.push(err364);
}
errors++;
}
}
if(!(false)){
if(data138.factory === undefined){
const err365 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/required",keyword:"required",params:{missingProperty: "factory"},message:"must have required property '"+"factory"+"'"};
if(vErrors === null){
vErrors = [err365];
}
else {
vErrors.push(err365);
}
errors++;
}
}
for(const key21 in data138){
if(!(((((key21 === "id") || (key21 === "says")) || (key21 === "positions")) || (key21 === "factory")) || (key21 === "does"))){
const err366 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key21},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err366];
}
else {
vErrors.push(err366);
}
errors++;
}
}
if(data138.id !== undefined){
let data139 = data138.id;
if(typeof data139 === "string"){
if(func3(data139) > 200){
const err367 = {instancePath:instancePath+"/jumpers/" + i18+"/id",schemaPath:"#/properties/jumpers/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err367];
}
else {
vErrors.push(err367);
}
errors++;
}
if(func3(data139) < 1){
const err368 = {instancePath:instancePath+"/jumpers/" + i18+"/id",schemaPath:"#/properties/jumpers/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err368];
}
else {
vErrors.push(err368);
}
errors++;
}
}
else {
const err369 = {instancePath:instancePath+"/jumpers/" + i18+"/id",schemaPath:"#/properties/jumpers/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err369];
}
else {
vErrors.push(err369);
}
errors++;
}
}
if(data138.says !== undefined){
let data140 = data138.says;
if(typeof data140 === "string"){
if(func3(data140) > 200){
const err370 = {instancePath:instancePath+"/jumpers/" + i18+"/says",schemaPath:"#/properties/jumpers/items/properties/says/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err370];
}
else {
vErrors.push(err370);
}
errors++;
}
if(func3(data140) < 1){
const err371 = {instancePath:instancePath+"/jumpers/" + i18+"/says",schemaPath:"#/properties/jumpers/items/properties/says/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err371];
}
else {
vErrors.push(err371);
}
errors++;
}
}
else {
const err372 = {instancePath:instancePath+"/jumpers/" + i18+"/says",schemaPath:"#/properties/jumpers/items/properties/says/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err372];
}
else {
vErrors.push(err372);
}
errors++;
}
}
if(data138.positions !== undefined){
let data141 = data138.positions;
if(Array.isArray(data141)){
if(data141.length > 400){
const err373 = {instancePath:instancePath+"/jumpers/" + i18+"/positions",schemaPath:"#/properties/jumpers/items/properties/positions/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err373];
}
else {
vErrors.push(err373);
}
errors++;
}
const len19 = data141.length;
for(let i19=0; i19<len19; i19++){
let data142 = data141[i19];
if(typeof data142 === "string"){
if(func3(data142) > 200){
const err374 = {instancePath:instancePath+"/jumpers/" + i18+"/positions/" + i19,schemaPath:"#/properties/jumpers/items/properties/positions/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err374];
}
else {
vErrors.push(err374);
}
errors++;
}
if(func3(data142) < 1){
const err375 = {instancePath:instancePath+"/jumpers/" + i18+"/positions/" + i19,schemaPath:"#/properties/jumpers/items/properties/positions/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err375];
}
else {
vErrors.push(err375);
}
errors++;
}
}
else {
const err376 = {instancePath:instancePath+"/jumpers/" + i18+"/positions/" + i19,schemaPath:"#/properties/jumpers/items/properties/positions/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err376];
}
else {
vErrors.push(err376);
}
errors++;
}
}
}
else {
const err377 = {instancePath:instancePath+"/jumpers/" + i18+"/positions",schemaPath:"#/properties/jumpers/items/properties/positions/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err377];
}
else {
vErrors.push(err377);
}
errors++;
}
}
if(data138.factory !== undefined){
let data143 = data138.factory;
if(typeof data143 === "string"){
if(func3(data143) > 200){
const err378 = {instancePath:instancePath+"/jumpers/" + i18+"/factory",schemaPath:"#/properties/jumpers/items/properties/factory/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err378];
}
else {
vErrors.push(err378);
}
errors++;
}
if(func3(data143) < 1){
const err379 = {instancePath:instancePath+"/jumpers/" + i18+"/factory",schemaPath:"#/properties/jumpers/items/properties/factory/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err379];
}
else {
vErrors.push(err379);
}
errors++;
}
}
else {
const err380 = {instancePath:instancePath+"/jumpers/" + i18+"/factory",schemaPath:"#/properties/jumpers/items/properties/factory/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err380];
}
else {
vErrors.push(err380);
}
errors++;
}
}
if(data138.does !== undefined){
if(!(data138.does === "terminator")){
const err381 = {instancePath:instancePath+"/jumpers/" + i18+"/does",schemaPath:"#/properties/jumpers/items/properties/does/enum",keyword:"enum",params:{allowedValues: schema19.properties.jumpers.items.properties.does.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err381];
}
else {
vErrors.push(err381);
}
errors++;
}
}
}
else {
const err382 = {instancePath:instancePath+"/jumpers/" + i18,schemaPath:"#/properties/jumpers/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err382];
}
else {
vErrors.push(err382);
}
errors++;
}
}
}
else {
const err383 = {instancePath:instancePath+"/jumpers",schemaPath:"#/properties/jumpers/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err383];
}
else {
vErrors.push(err383);
}
errors++;
}
}
if(data.network !== undefined){
let data145 = data.network;
if(data145 && typeof data145 == "object" && !Array.isArray(data145)){
if(!(false)){
if(data145.class === undefined){
const err384 = {instancePath:instancePath+"/network",schemaPath:"#/properties/network/required",keyword:"required",params:{missingProperty: "class"},message:"must have required property '"+"class"+"'"};
if(vErrors === null){
vErrors = [err384];
}
else {
vErrors.push(err384);
}
errors++;
}
}
if(!(false)){
if(data145.restW === undefined){
const err385 = {instancePath:instancePath+"/network",schemaPath:"#/properties/network/required",keyword:"required",params:{missingProperty: "restW"},message:"must have required property '"+"restW"+"'"};
if(vErrors === null){
vErrors = [err385];
}
else {
vErrors.push(err385);
}
errors++;
}
}
if(!(false)){
if(data145.peakW === undefined){
const err386 = {instancePath:instancePath+"/network",schemaPath:"#/properties/network/required",keyword:"required",params:{missingProperty: "peakW"},message:"must have required property '"+"peakW"+"'"};
if(vErrors === null){
vErrors = [err386];
}
else {
vErrors.push(err386);
}
errors++;
}
}
for(const key22 in data145){
if(!(((key22 === "class") || (key22 === "restW")) || (key22 === "peakW"))){
const err387 = {instancePath:instancePath+"/network",schemaPath:"#/properties/network/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key22},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err387];
}
else {
vErrors.push(err387);
}
errors++;
}
}
if(data145.class !== undefined){
let data146 = data145.class;
if(!((typeof data146 == "number") && (!(data146 % 1) && !isNaN(data146)))){
const err388 = {instancePath:instancePath+"/network/class",schemaPath:"#/properties/network/properties/class/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err388];
}
else {
vErrors.push(err388);
}
errors++;
}
if(typeof data146 == "number"){
if(data146 > 8 || isNaN(data146)){
const err389 = {instancePath:instancePath+"/network/class",schemaPath:"#/properties/network/properties/class/maximum",keyword:"maximum",params:{comparison: "<=", limit: 8},message:"must be <= 8"};
if(vErrors === null){
vErrors = [err389];
}
else {
vErrors.push(err389);
}
errors++;
}
if(data146 < 0 || isNaN(data146)){
const err390 = {instancePath:instancePath+"/network/class",schemaPath:"#/properties/network/properties/class/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err390];
}
else {
vErrors.push(err390);
}
errors++;
}
}
}
if(data145.restW !== undefined){
let data147 = data145.restW;
if(typeof data147 == "number"){
if(data147 < 0 || isNaN(data147)){
const err391 = {instancePath:instancePath+"/network/restW",schemaPath:"#/properties/network/properties/restW/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err391];
}
else {
vErrors.push(err391);
}
errors++;
}
}
else {
const err392 = {instancePath:instancePath+"/network/restW",schemaPath:"#/properties/network/properties/restW/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err392];
}
else {
vErrors.push(err392);
}
errors++;
}
}
if(data145.peakW !== undefined){
let data148 = data145.peakW;
if(typeof data148 == "number"){
if(data148 < 0 || isNaN(data148)){
const err393 = {instancePath:instancePath+"/network/peakW",schemaPath:"#/properties/network/properties/peakW/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err393];
}
else {
vErrors.push(err393);
}
errors++;
}
}
else {
const err394 = {instancePath:instancePath+"/network/peakW",schemaPath:"#/properties/network/properties/peakW/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err394];
}
else {
vErrors.push(err394);
}
errors++;
}
}
}
else {
const err395 = {instancePath:instancePath+"/network",schemaPath:"#/properties/network/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err395];
}
else {
vErrors.push(err395);
}
errors++;
}
}
if(data.feeds !== undefined){
let data149 = data.feeds;
if(data149 && typeof data149 == "object" && !Array.isArray(data149)){
if(!(false)){
if(data149.volts === undefined){
const err396 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/required",keyword:"required",params:{missingProperty: "volts"},message:"must have required property '"+"volts"+"'"};
if(vErrors === null){
vErrors = [err396];
}
else {
vErrors.push(err396);
}
errors++;
}
}
if(!(false)){
if(data149.watts === undefined){
const err397 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/required",keyword:"required",params:{missingProperty: "watts"},message:"must have required property '"+"watts"+"'"};
if(vErrors === null){
vErrors = [err397];
}
else {
vErrors.push(err397);
}
errors++;
}
}
if(!(false)){
if(data149.efficiency === undefined){
const err398 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/required",keyword:"required",params:{missingProperty: "efficiency"},message:"must have required property '"+"efficiency"+"'"};
if(vErrors === null){
vErrors = [err398];
}
else {
vErrors.push(err398);
}
errors++;
}
}
if(!(false)){
if(data149.cutOffV === undefined){
const err399 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/required",keyword:"required",params:{missingProperty: "cutOffV"},message:"must have required property '"+"cutOffV"+"'"};
if(vErrors === null){
vErrors = [err399];
}
else {
vErrors.push(err399);
}
errors++;
}
}
for(const key23 in data149){
if(!((((key23 === "volts") || (key23 === "watts")) || (key23 === "efficiency")) || (key23 === "cutOffV"))){
const err400 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key23},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err400];
}
else {
vErrors.push(err400);
}
errors++;
}
}
if(data149.volts !== undefined){
let data150 = data149.volts;
if(typeof data150 == "number"){
if(data150 <= 0 || isNaN(data150)){
const err401 = {instancePath:instancePath+"/feeds/volts",schemaPath:"#/properties/feeds/properties/volts/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err401];
}
else {
vErrors.push(err401);
}
errors++;
}
}
else {
const err402 = {instancePath:instancePath+"/feeds/volts",schemaPath:"#/properties/feeds/properties/volts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err402];
}
else {
vErrors.push(err402);
}
errors++;
}
}
if(data149.watts !== undefined){
let data151 = data149.watts;
if(typeof data151 == "number"){
if(data151 <= 0 || isNaN(data151)){
const err403 = {instancePath:instancePath+"/feeds/watts",schemaPath:"#/properties/feeds/properties/watts/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err403];
}
else {
vErrors.push(err403);
}
errors++;
}
}
else {
const err404 = {instancePath:instancePath+"/feeds/watts",schemaPath:"#/properties/feeds/properties/watts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err404];
}
else {
vErrors.push(err404);
}
errors++;
}
}
if(data149.efficiency !== undefined){
let data152 = data149.efficiency;
if(typeof data152 == "number"){
if(data152 > 1 || isNaN(data152)){
const err405 = {instancePath:instancePath+"/feeds/efficiency",schemaPath:"#/properties/feeds/properties/efficiency/maximum",keyword:"maximum",params:{comparison: "<=", limit: 1},message:"must be <= 1"};
if(vErrors === null){
vErrors = [err405];
}
else {
vErrors.push(err405);
}
errors++;
}
if(data152 <= 0 || isNaN(data152)){
const err406 = {instancePath:instancePath+"/feeds/efficiency",schemaPath:"#/properties/feeds/properties/efficiency/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err406];
}
else {
vErrors.push(err406);
}
errors++;
}
}
else {
const err407 = {instancePath:instancePath+"/feeds/efficiency",schemaPath:"#/properties/feeds/properties/efficiency/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err407];
}
else {
vErrors.push(err407);
}
errors++;
}
}
if(data149.cutOffV !== undefined){
let data153 = data149.cutOffV;
if(typeof data153 == "number"){
if(data153 <= 0 || isNaN(data153)){
const err408 = {instancePath:instancePath+"/feeds/cutOffV",schemaPath:"#/properties/feeds/properties/cutOffV/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err408];
}
else {
vErrors.push(err408);
}
errors++;
}
}
else {
const err409 = {instancePath:instancePath+"/feeds/cutOffV",schemaPath:"#/properties/feeds/properties/cutOffV/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err409];
}
else {
vErrors.push(err409);
}
errors++;
}
}
}
else {
const err410 = {instancePath:instancePath+"/feeds",schemaPath:"#/properties/feeds/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err410];
}
else {
vErrors.push(err410);
}
errors++;
}
}
if(data.networkSource !== undefined){
let data154 = data.networkSource;
if(data154 && typeof data154 == "object" && !Array.isArray(data154)){
if(!(false)){
if(data154.volts === undefined){
const err411 = {instancePath:instancePath+"/networkSource",schemaPath:"#/properties/networkSource/required",keyword:"required",params:{missingProperty: "volts"},message:"must have required property '"+"volts"+"'"};
if(vErrors === null){
vErrors = [err411];
}
else {
vErrors.push(err411);
}
errors++;
}
}
if(!(false)){
if(data154.budgetW === undefined){
const err412 = {instancePath:instancePath+"/networkSource",schemaPath:"#/properties/networkSource/required",keyword:"required",params:{missingProperty: "budgetW"},message:"must have required property '"+"budgetW"+"'"};
if(vErrors === null){
vErrors = [err412];
}
else {
vErrors.push(err412);
}
errors++;
}
}
if(!(false)){
if(data154.ports === undefined){
const err413 = {instancePath:instancePath+"/networkSource",schemaPath:"#/properties/networkSource/required",keyword:"required",params:{missingProperty: "ports"},message:"must have required property '"+"ports"+"'"};
if(vErrors === null){
vErrors = [err413];
}
else {
vErrors.push(err413);
}
errors++;
}
}
for(const key24 in data154){
if(!(((key24 === "volts") || (key24 === "budgetW")) || (key24 === "ports"))){
const err414 = {instancePath:instancePath+"/networkSource",schemaPath:"#/properties/networkSource/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key24},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err414];
}
else {
vErrors.push(err414);
}
errors++;
}
}
if(data154.volts !== undefined){
let data155 = data154.volts;
if(typeof data155 == "number"){
if(data155 <= 0 || isNaN(data155)){
const err415 = {instancePath:instancePath+"/networkSource/volts",schemaPath:"#/properties/networkSource/properties/volts/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err415];
}
else {
vErrors.push(err415);
}
errors++;
}
}
else {
const err416 = {instancePath:instancePath+"/networkSource/volts",schemaPath:"#/properties/networkSource/properties/volts/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err416];
}
else {
vErrors.push(err416);
}
errors++;
}
}
if(data154.budgetW !== undefined){
let data156 = data154.budgetW;
if(typeof data156 == "number"){
if(data156 < 0 || isNaN(data156)){
const err417 = {instancePath:instancePath+"/networkSource/budgetW",schemaPath:"#/properties/networkSource/properties/budgetW/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err417];
}
else {
vErrors.push(err417);
}
errors++;
}
}
else {
const err418 = {instancePath:instancePath+"/networkSource/budgetW",schemaPath:"#/properties/networkSource/properties/budgetW/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err418];
}
else {
vErrors.push(err418);
}
errors++;
}
}
if(data154.ports !== undefined){
let data157 = data154.ports;
if(Array.isArray(data157)){
if(data157.length > 400){
const err419 = {instancePath:instancePath+"/networkSource/ports",schemaPath:"#/properties/networkSource/properties/ports/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err419];
}
else {
vErrors.push(err419);
}
errors++;
}
const len20 = data157.length;
for(let i20=0; i20<len20; i20++){
let data158 = data157[i20];
if(data158 && typeof data158 == "object" && !Array.isArray(data158)){
if(!(false)){
if(data158.id === undefined){
const err420 = {instancePath:instancePath+"/networkSource/ports/" + i20,schemaPath:"#/properties/networkSource/properties/ports/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err420];
}
else {
vErrors.push(err420);
}
errors++;
}
}
if(!(false)){
if(data158.highestClass === undefined){
const err421 = {instancePath:instancePath+"/networkSource/ports/" + i20,schemaPath:"#/properties/networkSource/properties/ports/items/required",keyword:"required",params:{missingProperty: "highestClass"},message:"must have required property '"+"highestClass"+"'"};
if(vErrors === null){
vErrors = [err421];
}
else {
vErrors.push(err421);
}
errors++;
}
}
for(const key25 in data158){
if(!((key25 === "id") || (key25 === "highestClass"))){
const err422 = {instancePath:instancePath+"/networkSource/ports/" + i20,schemaPath:"#/properties/networkSource/properties/ports/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key25},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err422];
}
else {
vErrors.push(err422);
}
errors++;
}
}
if(data158.id !== undefined){
let data159 = data158.id;
if(typeof data159 === "string"){
if(func3(data159) > 200){
const err423 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/id",schemaPath:"#/properties/networkSource/properties/ports/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err423];
}
else {
vErrors.push(err423);
}
errors++;
}
if(func3(data159) < 1){
const err424 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/id",schemaPath:"#/properties/networkSource/properties/ports/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err424];
}
else {
vErrors.push(err424);
}
errors++;
}
}
else {
const err425 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/id",schemaPath:"#/properties/networkSource/properties/ports/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err425];
}
else {
vErrors.push(err425);
}
errors++;
}
}
if(data158.highestClass !== undefined){
let data160 = data158.highestClass;
if(!((typeof data160 == "number") && (!(data160 % 1) && !isNaN(data160)))){
const err426 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/highestClass",schemaPath:"#/properties/networkSource/properties/ports/items/properties/highestClass/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err426];
}
else {
vErrors.push(err426);
}
errors++;
}
if(typeof data160 == "number"){
if(data160 > 8 || isNaN(data160)){
const err427 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/highestClass",schemaPath:"#/properties/networkSource/properties/ports/items/properties/highestClass/maximum",keyword:"maximum",params:{comparison: "<=", limit: 8},message:"must be <= 8"};
if(vErrors === null){
vErrors = [err427];
}
else {
vErrors.push(err427);
}
errors++;
}
if(data160 < 0 || isNaN(data160)){
const err428 = {instancePath:instancePath+"/networkSource/ports/" + i20+"/highestClass",schemaPath:"#/properties/networkSource/properties/ports/items/properties/highestClass/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err428];
}
else {
vErrors.push(err428);
}
errors++;
}
}
}
}
else {
const err429 = {instancePath:instancePath+"/networkSource/ports/" + i20,schemaPath:"#/properties/networkSource/properties/ports/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err429];
}
else {
vErrors.push(err429);
}
errors++;
}
}
}
else {
const err430 = {instancePath:instancePath+"/networkSource/ports",schemaPath:"#/properties/networkSource/properties/ports/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err430];
}
else {
vErrors.push(err430);
}
errors++;
}
}
}
else {
const err431 = {instancePath:instancePath+"/networkSource",schemaPath:"#/properties/networkSource/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err431];
}
else {
vErrors.push(err431);
}
errors++;
}
}
if(data.ownBattery !== undefined){
let data161 = data.ownBattery;
if(data161 && typeof data161 == "object" && !Array.isArray(data161)){
if(!(false)){
if(data161.passagesPerDay === undefined){
const err432 = {instancePath:instancePath+"/ownBattery",schemaPath:"#/properties/ownBattery/required",keyword:"required",params:{missingProperty: "passagesPerDay"},message:"must have required property '"+"passagesPerDay"+"'"};
if(vErrors === null){
vErrors = [err432];
}
else {
vErrors.push(err432);
}
errors++;
}
}
if(!(false)){
if(data161.cells === undefined){
const err433 = {instancePath:instancePath+"/ownBattery",schemaPath:"#/properties/ownBattery/required",keyword:"required",params:{missingProperty: "cells"},message:"must have required property '"+"cells"+"'"};
if(vErrors === null){
vErrors = [err433];
}
else {
vErrors.push(err433);
}
errors++;
}
}
for(const key26 in data161){
if(!((key26 === "passagesPerDay") || (key26 === "cells"))){
const err434 = {instancePath:instancePath+"/ownBattery",schemaPath:"#/properties/ownBattery/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key26},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err434];
}
else {
vErrors.push(err434);
}
errors++;
}
}
if(data161.passagesPerDay !== undefined){
let data162 = data161.passagesPerDay;
if(!((typeof data162 == "number") && (!(data162 % 1) && !isNaN(data162)))){
const err435 = {instancePath:instancePath+"/ownBattery/passagesPerDay",schemaPath:"#/properties/ownBattery/properties/passagesPerDay/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err435];
}
else {
vErrors.push(err435);
}
errors++;
}
if(typeof data162 == "number"){
if(data162 < 0 || isNaN(data162)){
const err436 = {instancePath:instancePath+"/ownBattery/passagesPerDay",schemaPath:"#/properties/ownBattery/properties/passagesPerDay/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err436];
}
else {
vErrors.push(err436);
}
errors++;
}
}
}
if(data161.cells !== undefined){
let data163 = data161.cells;
if(typeof data163 === "string"){
if(func3(data163) > 200){
const err437 = {instancePath:instancePath+"/ownBattery/cells",schemaPath:"#/properties/ownBattery/properties/cells/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err437];
}
else {
vErrors.push(err437);
}
errors++;
}
if(func3(data163) < 1){
const err438 = {instancePath:instancePath+"/ownBattery/cells",schemaPath:"#/properties/ownBattery/properties/cells/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err438];
}
else {
vErrors.push(err438);
}
errors++;
}
}
else {
const err439 = {instancePath:instancePath+"/ownBattery/cells",schemaPath:"#/properties/ownBattery/properties/cells/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err439];
}
else {
vErrors.push(err439);
}
errors++;
}
}
}
else {
const err440 = {instancePath:instancePath+"/ownBattery",schemaPath:"#/properties/ownBattery/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err440];
}
else {
vErrors.push(err440);
}
errors++;
}
}
if(data.radio !== undefined){
let data164 = data.radio;
if(data164 && typeof data164 == "object" && !Array.isArray(data164)){
for(const key27 in data164){
if(!(((key27 === "openM") || (key27 === "leastDbm")) || (key27 === "standby"))){
const err441 = {instancePath:instancePath+"/radio",schemaPath:"#/properties/radio/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key27},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err441];
}
else {
vErrors.push(err441);
}
errors++;
}
}
if(data164.openM !== undefined){
let data165 = data164.openM;
if(typeof data165 == "number"){
if(data165 <= 0 || isNaN(data165)){
const err442 = {instancePath:instancePath+"/radio/openM",schemaPath:"#/properties/radio/properties/openM/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err442];
}
else {
vErrors.push(err442);
}
errors++;
}
}
else {
const err443 = {instancePath:instancePath+"/radio/openM",schemaPath:"#/properties/radio/properties/openM/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err443];
}
else {
vErrors.push(err443);
}
errors++;
}
}
if(data164.leastDbm !== undefined){
let data166 = data164.leastDbm;
if(typeof data166 == "number"){
if(data166 > 0 || isNaN(data166)){
const err444 = {instancePath:instancePath+"/radio/leastDbm",schemaPath:"#/properties/radio/properties/leastDbm/maximum",keyword:"maximum",params:{comparison: "<=", limit: 0},message:"must be <= 0"};
if(vErrors === null){
vErrors = [err444];
}
else {
vErrors.push(err444);
}
errors++;
}
if(data166 < -120 || isNaN(data166)){
const err445 = {instancePath:instancePath+"/radio/leastDbm",schemaPath:"#/properties/radio/properties/leastDbm/minimum",keyword:"minimum",params:{comparison: ">=", limit: -120},message:"must be >= -120"};
if(vErrors === null){
vErrors = [err445];
}
else {
vErrors.push(err445);
}
errors++;
}
}
else {
const err446 = {instancePath:instancePath+"/radio/leastDbm",schemaPath:"#/properties/radio/properties/leastDbm/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err446];
}
else {
vErrors.push(err446);
}
errors++;
}
}
if(data164.standby !== undefined){
let data167 = data164.standby;
if(!((typeof data167 == "number") && (!(data167 % 1) && !isNaN(data167)))){
const err447 = {instancePath:instancePath+"/radio/standby",schemaPath:"#/properties/radio/properties/standby/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err447];
}
else {
vErrors.push(err447);
}
errors++;
}
if(typeof data167 == "number"){
if(data167 < 0 || isNaN(data167)){
const err448 = {instancePath:instancePath+"/radio/standby",schemaPath:"#/properties/radio/properties/standby/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err448];
}
else {
vErrors.push(err448);
}
errors++;
}
}
}
}
else {
const err449 = {instancePath:instancePath+"/radio",schemaPath:"#/properties/radio/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err449];
}
else {
vErrors.push(err449);
}
errors++;
}
}
if(data.carries !== undefined){
let data168 = data.carries;
if(Array.isArray(data168)){
if(data168.length > 400){
const err450 = {instancePath:instancePath+"/carries",schemaPath:"#/properties/carries/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err450];
}
else {
vErrors.push(err450);
}
errors++;
}
const len21 = data168.length;
for(let i21=0; i21<len21; i21++){
let data169 = data168[i21];
if(data169 && typeof data169 == "object" && !Array.isArray(data169)){
if(!(false)){
if(data169.kind === undefined){
const err451 = {instancePath:instancePath+"/carries/" + i21,schemaPath:"#/properties/carries/items/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err451];
}
else {
vErrors.push(err451);
}
errors++;
}
}
if(!(false)){
if(data169.most === undefined){
const err452 = {instancePath:instancePath+"/carries/" + i21,schemaPath:"#/properties/carries/items/required",keyword:"required",params:{missingProperty: "most"},message:"must have required property '"+"most"+"'"};
if(vErrors === null){
vErrors = [err452];
}
else {
vErrors.push(err452);
}
errors++;
}
}
for(const key28 in data169){
if(!((key28 === "kind") || (key28 === "most"))){
const err453 = {instancePath:instancePath+"/carries/" + i21,schemaPath:"#/properties/carries/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key28},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err453];
}
else {
vErrors.push(err453);
}
errors++;
}
}
if(data169.kind !== undefined){
let data170 = data169.kind;
if(!(((((((((((((((((((data170 === "controller") || (data170 === "reader")) || (data170 === "lock")) || (data170 === "contact")) || (data170 === "exit")) || (data170 === "breakGlass")) || (data170 === "supply")) || (data170 === "expander")) || (data170 === "hub")) || (data170 === "wirelessLock")) || (data170 === "station")) || (data170 === "module")) || (data170 === "converter")) || (data170 === "switch")) || (data170 === "midspan")) || (data170 === "opener")) || (data170 === "sounder")) || (data170 === "panelLine")) || (data170 === "panelState"))){
const err454 = {instancePath:instancePath+"/carries/" + i21+"/kind",schemaPath:"#/properties/carries/items/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.carries.items.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err454];
}
else {
vErrors.push(err454);
}
errors++;
}
}
if(data169.most !== undefined){
let data171 = data169.most;
if(!((typeof data171 == "number") && (!(data171 % 1) && !isNaN(data171)))){
const err455 = {instancePath:instancePath+"/carries/" + i21+"/most",schemaPath:"#/properties/carries/items/properties/most/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err455];
}
else {
vErrors.push(err455);
}
errors++;
}
if(typeof data171 == "number"){
if(data171 < 0 || isNaN(data171)){
const err456 = {instancePath:instancePath+"/carries/" + i21+"/most",schemaPath:"#/properties/carries/items/properties/most/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err456];
}
else {
vErrors.push(err456);
}
errors++;
}
}
}
}
else {
const err457 = {instancePath:instancePath+"/carries/" + i21,schemaPath:"#/properties/carries/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err457];
}
else {
vErrors.push(err457);
}
errors++;
}
}
}
else {
const err458 = {instancePath:instancePath+"/carries",schemaPath:"#/properties/carries/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err458];
}
else {
vErrors.push(err458);
}
errors++;
}
}
if(data.lamps !== undefined){
let data172 = data.lamps;
if(Array.isArray(data172)){
if(data172.length > 400){
const err459 = {instancePath:instancePath+"/lamps",schemaPath:"#/properties/lamps/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err459];
}
else {
vErrors.push(err459);
}
errors++;
}
const len22 = data172.length;
for(let i22=0; i22<len22; i22++){
let data173 = data172[i22];
if(data173 && typeof data173 == "object" && !Array.isArray(data173)){
if(!(false)){
if(data173.lamp === undefined){
const err460 = {instancePath:instancePath+"/lamps/" + i22,schemaPath:"#/properties/lamps/items/required",keyword:"required",params:{missingProperty: "lamp"},message:"must have required property '"+"lamp"+"'"};
if(vErrors === null){
vErrors = [err460];
}
else {
vErrors.push(err460);
}
errors++;
}
}
if(!(false)){
if(data173.means === undefined){
const err461 = {instancePath:instancePath+"/lamps/" + i22,schemaPath:"#/properties/lamps/items/required",keyword:"required",params:{missingProperty: "means"},message:"must have required property '"+"means"+"'"};
if(vErrors === null){
vErrors = [err461];
}
else {
vErrors.push(err461);
}
errors++;
}
}
for(const key29 in data173){
if(!((key29 === "lamp") || (key29 === "means"))){
const err462 = {instancePath:instancePath+"/lamps/" + i22,schemaPath:"#/properties/lamps/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key29},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err462];
}
else {
vErrors.push(err462);
}
errors++;
}
}
if(data173.lamp !== undefined){
let data174 = data173.lamp;
if(typeof data174 === "string"){
if(func3(data174) > 200){
const err463 = {instancePath:instancePath+"/lamps/" + i22+"/lamp",schemaPath:"#/properties/lamps/items/properties/lamp/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err463];
}
else {
vErrors.push(err463);
}
errors++;
}
if(func3(data174) < 1){
const err464 = {instancePath:instancePath+"/lamps/" + i22+"/lamp",schemaPath:"#/properties/lamps/items/properties/lamp/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err464];
}
else {
vErrors.push(err464);
}
errors++;
}
}
else {
const err465 = {instancePath:instancePath+"/lamps/" + i22+"/lamp",schemaPath:"#/properties/lamps/items/properties/lamp/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err465];
}
else {
vErrors.push(err465);
}
errors++;
}
}
if(data173.means !== undefined){
let data175 = data173.means;
if(typeof data175 === "string"){
if(func3(data175) > 200){
const err466 = {instancePath:instancePath+"/lamps/" + i22+"/means",schemaPath:"#/properties/lamps/items/properties/means/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err466];
}
else {
vErrors.push(err466);
}
errors++;
}
if(func3(data175) < 1){
const err467 = {instancePath:instancePath+"/lamps/" + i22+"/means",schemaPath:"#/properties/lamps/items/properties/means/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err467];
}
else {
vErrors.push(err467);
}
errors++;
}
}
else {
const err468 = {instancePath:instancePath+"/lamps/" + i22+"/means",schemaPath:"#/properties/lamps/items/properties/means/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err468];
}
else {
vErrors.push(err468);
}
errors++;
}
}
}
else {
const err469 = {instancePath:instancePath+"/lamps/" + i22,schemaPath:"#/properties/lamps/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err469];
}
else {
vErrors.push(err469);
}
errors++;
}
}
}
else {
const err470 = {instancePath:instancePath+"/lamps",schemaPath:"#/properties/lamps/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err470];
}
else {
vErrors.push(err470);
}
errors++;
}
}
if(data.sounds !== undefined){
let data176 = data.sounds;
if(Array.isArray(data176)){
if(data176.length > 400){
const err471 = {instancePath:instancePath+"/sounds",schemaPath:"#/properties/sounds/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err471];
}
else {
vErrors.push(err471);
}
errors++;
}
const len23 = data176.length;
for(let i23=0; i23<len23; i23++){
let data177 = data176[i23];
if(data177 && typeof data177 == "object" && !Array.isArray(data177)){
if(!(false)){
if(data177.sound === undefined){
const err472 = {instancePath:instancePath+"/sounds/" + i23,schemaPath:"#/properties/sounds/items/required",keyword:"required",params:{missingProperty: "sound"},message:"must have required property '"+"sound"+"'"};
if(vErrors === null){
vErrors = [err472];
}
else {
vErrors.push(err472);
}
errors++;
}
}
if(!(false)){
if(data177.means === undefined){
const err473 = {instancePath:instancePath+"/sounds/" + i23,schemaPath:"#/properties/sounds/items/required",keyword:"required",params:{missingProperty: "means"},message:"must have required property '"+"means"+"'"};
if(vErrors === null){
vErrors = [err473];
}
else {
vErrors.push(err473);
}
errors++;
}
}
for(const key30 in data177){
if(!((key30 === "sound") || (key30 === "means"))){
const err474 = {instancePath:instancePath+"/sounds/" + i23,schemaPath:"#/properties/sounds/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key30},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err474];
}
else {
vErrors.push(err474);
}
errors++;
}
}
if(data177.sound !== undefined){
let data178 = data177.sound;
if(typeof data178 === "string"){
if(func3(data178) > 200){
const err475 = {instancePath:instancePath+"/sounds/" + i23+"/sound",schemaPath:"#/properties/sounds/items/properties/sound/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err475];
}
else {
vErrors.push(err475);
}
errors++;
}
if(func3(data178) < 1){
const err476 = {instancePath:instancePath+"/sounds/" + i23+"/sound",schemaPath:"#/properties/sounds/items/properties/sound/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err476];
}
else {
vErrors.push(err476);
}
errors++;
}
}
else {
const err477 = {instancePath:instancePath+"/sounds/" + i23+"/sound",schemaPath:"#/properties/sounds/items/properties/sound/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err477];
}
else {
vErrors.push(err477);
}
errors++;
}
}
if(data177.means !== undefined){
let data179 = data177.means;
if(typeof data179 === "string"){
if(func3(data179) > 200){
const err478 = {instancePath:instancePath+"/sounds/" + i23+"/means",schemaPath:"#/properties/sounds/items/properties/means/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err478];
}
else {
vErrors.push(err478);
}
errors++;
}
if(func3(data179) < 1){
const err479 = {instancePath:instancePath+"/sounds/" + i23+"/means",schemaPath:"#/properties/sounds/items/properties/means/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err479];
}
else {
vErrors.push(err479);
}
errors++;
}
}
else {
const err480 = {instancePath:instancePath+"/sounds/" + i23+"/means",schemaPath:"#/properties/sounds/items/properties/means/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err480];
}
else {
vErrors.push(err480);
}
errors++;
}
}
}
else {
const err481 = {instancePath:instancePath+"/sounds/" + i23,schemaPath:"#/properties/sounds/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err481];
}
else {
vErrors.push(err481);
}
errors++;
}
}
}
else {
const err482 = {instancePath:instancePath+"/sounds",schemaPath:"#/properties/sounds/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err482];
}
else {
vErrors.push(err482);
}
errors++;
}
}
if(data.box !== undefined){
let data180 = data.box;
if(Array.isArray(data180)){
if(data180.length > 400){
const err483 = {instancePath:instancePath+"/box",schemaPath:"#/properties/box/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err483];
}
else {
vErrors.push(err483);
}
errors++;
}
const len24 = data180.length;
for(let i24=0; i24<len24; i24++){
let data181 = data180[i24];
if(typeof data181 === "string"){
if(func3(data181) > 200){
const err484 = {instancePath:instancePath+"/box/" + i24,schemaPath:"#/properties/box/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err484];
}
else {
vErrors.push(err484);
}
errors++;
}
if(func3(data181) < 1){
const err485 = {instancePath:instancePath+"/box/" + i24,schemaPath:"#/properties/box/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err485];
}
else {
vErrors.push(err485);
}
errors++;
}
}
else {
const err486 = {instancePath:instancePath+"/box/" + i24,schemaPath:"#/properties/box/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err486];
}
else {
vErrors.push(err486);
}
errors++;
}
}
}
else {
const err487 = {instancePath:instancePath+"/box",schemaPath:"#/properties/box/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err487];
}
else {
vErrors.push(err487);
}
errors++;
}
}
if(data.mounting !== undefined){
let data182 = data.mounting;
if(Array.isArray(data182)){
if(data182.length > 400){
const err488 = {instancePath:instancePath+"/mounting",schemaPath:"#/properties/mounting/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err488];
}
else {
vErrors.push(err488);
}
errors++;
}
const len25 = data182.length;
for(let i25=0; i25<len25; i25++){
let data183 = data182[i25];
if(typeof data183 === "string"){
if(func3(data183) > 200){
const err489 = {instancePath:instancePath+"/mounting/" + i25,schemaPath:"#/properties/mounting/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err489];
}
else {
vErrors.push(err489);
}
errors++;
}
if(func3(data183) < 1){
const err490 = {instancePath:instancePath+"/mounting/" + i25,schemaPath:"#/properties/mounting/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err490];
}
else {
vErrors.push(err490);
}
errors++;
}
}
else {
const err491 = {instancePath:instancePath+"/mounting/" + i25,schemaPath:"#/properties/mounting/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err491];
}
else {
vErrors.push(err491);
}
errors++;
}
}
}
else {
const err492 = {instancePath:instancePath+"/mounting",schemaPath:"#/properties/mounting/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err492];
}
else {
vErrors.push(err492);
}
errors++;
}
}
if(data.setUp !== undefined){
let data184 = data.setUp;
if(Array.isArray(data184)){
if(data184.length > 400){
const err493 = {instancePath:instancePath+"/setUp",schemaPath:"#/properties/setUp/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err493];
}
else {
vErrors.push(err493);
}
errors++;
}
const len26 = data184.length;
for(let i26=0; i26<len26; i26++){
let data185 = data184[i26];
if(data185 && typeof data185 == "object" && !Array.isArray(data185)){
if(!(false)){
if(data185.what === undefined){
const err494 = {instancePath:instancePath+"/setUp/" + i26,schemaPath:"#/properties/setUp/items/required",keyword:"required",params:{missingProperty: "what"},message:"must have required property '"+"what"+"'"};
if(vErrors === null){
vErrors = [err494];
}
else {
vErrors.push(err494);
}
errors++;
}
}
if(!(false)){
if(data185.kind === undefined){
const err495 = {instancePath:instancePath+"/setUp/" + i26,schemaPath:"#/properties/setUp/items/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err495];
}
else {
vErrors.push(err495);
}
errors++;
}
}
if(!(false)){
if(data185.one === undefined){
const err496 = {instancePath:instancePath+"/setUp/" + i26,schemaPath:"#/properties/setUp/items/required",keyword:"required",params:{missingProperty: "one"},message:"must have required property '"+"one"+"'"};
if(vErrors === null){
vErrors = [err496];
}
else {
vErrors.push(err496);
}
errors++;
}
}
for(const key31 in data185){
if(!((((key31 === "what") || (key31 === "kind")) || (key31 === "runsOn")) || (key31 === "one"))){
const err497 = {instancePath:instancePath+"/setUp/" + i26,schemaPath:"#/properties/setUp/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key31},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err497];
}
else {
vErrors.push(err497);
}
errors++;
}
}
if(data185.what !== undefined){
let data186 = data185.what;
if(typeof data186 === "string"){
if(func3(data186) > 200){
const err498 = {instancePath:instancePath+"/setUp/" + i26+"/what",schemaPath:"#/properties/setUp/items/properties/what/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err498];
}
else {
vErrors.push(err498);
}
errors++;
}
if(func3(data186) < 1){
const err499 = {instancePath:instancePath+"/setUp/" + i26+"/what",schemaPath:"#/properties/setUp/items/properties/what/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err499];
}
else {
vErrors.push(err499);
}
errors++;
}
}
else {
const err500 = {instancePath:instancePath+"/setUp/" + i26+"/what",schemaPath:"#/properties/setUp/items/properties/what/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err500];
}
else {
vErrors.push(err500);
}
errors++;
}
}
if(data185.kind !== undefined){
let data187 = data185.kind;
if(!(((data187 === "tool") || (data187 === "key")) || (data187 === "licence"))){
const err501 = {instancePath:instancePath+"/setUp/" + i26+"/kind",schemaPath:"#/properties/setUp/items/properties/kind/enum",keyword:"enum",params:{allowedValues: schema19.properties.setUp.items.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err501];
}
else {
vErrors.push(err501);
}
errors++;
}
}
if(data185.runsOn !== undefined){
let data188 = data185.runsOn;
if(typeof data188 === "string"){
if(func3(data188) > 200){
const err502 = {instancePath:instancePath+"/setUp/" + i26+"/runsOn",schemaPath:"#/properties/setUp/items/properties/runsOn/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err502];
}
else {
vErrors.push(err502);
}
errors++;
}
if(func3(data188) < 1){
const err503 = {instancePath:instancePath+"/setUp/" + i26+"/runsOn",schemaPath:"#/properties/setUp/items/properties/runsOn/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err503];
}
else {
vErrors.push(err503);
}
errors++;
}
}
else {
const err504 = {instancePath:instancePath+"/setUp/" + i26+"/runsOn",schemaPath:"#/properties/setUp/items/properties/runsOn/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err504];
}
else {
vErrors.push(err504);
}
errors++;
}
}
if(data185.one !== undefined){
let data189 = data185.one;
if(!(((data189 === "job") || (data189 === "device")) || (data189 === "door"))){
const err505 = {instancePath:instancePath+"/setUp/" + i26+"/one",schemaPath:"#/properties/setUp/items/properties/one/enum",keyword:"enum",params:{allowedValues: schema19.properties.setUp.items.properties.one.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err505];
}
else {
vErrors.push(err505);
}
errors++;
}
}
}
else {
const err506 = {instancePath:instancePath+"/setUp/" + i26,schemaPath:"#/properties/setUp/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err506];
}
else {
vErrors.push(err506);
}
errors++;
}
}
}
else {
const err507 = {instancePath:instancePath+"/setUp",schemaPath:"#/properties/setUp/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err507];
}
else {
vErrors.push(err507);
}
errors++;
}
}
if(data.atHand !== undefined){
let data190 = data.atHand;
if(Array.isArray(data190)){
if(data190.length > 400){
const err508 = {instancePath:instancePath+"/atHand",schemaPath:"#/properties/atHand/maxItems",keyword:"maxItems",params:{limit: 400},message:"must NOT have more than 400 items"};
if(vErrors === null){
vErrors = [err508];
}
else {
vErrors.push(err508);
}
errors++;
}
const len27 = data190.length;
for(let i27=0; i27<len27; i27++){
let data191 = data190[i27];
if(typeof data191 === "string"){
if(func3(data191) > 200){
const err509 = {instancePath:instancePath+"/atHand/" + i27,schemaPath:"#/properties/atHand/items/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err509];
}
else {
vErrors.push(err509);
}
errors++;
}
if(func3(data191) < 1){
const err510 = {instancePath:instancePath+"/atHand/" + i27,schemaPath:"#/properties/atHand/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err510];
}
else {
vErrors.push(err510);
}
errors++;
}
}
else {
const err511 = {instancePath:instancePath+"/atHand/" + i27,schemaPath:"#/properties/atHand/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err511];
}
else {
vErrors.push(err511);
}
errors++;
}
}
}
else {
const err512 = {instancePath:instancePath+"/atHand",schemaPath:"#/properties/atHand/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err512];
}
else {
vErrors.push(err512);
}
errors++;
}
}
}
else {
const err513 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err513];
}
else {
vErrors.push(err513);
}
errors++;
}
validate18.errors = vErrors;
return errors === 0;
}

export const person_put = validate19;
const schema20 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"number":{"type":"string","maxLength":200},"name":{"type":"string","minLength":1,"maxLength":120},"cards":{"type":"array","maxItems":10,"items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"format":{"type":"string","maxLength":40},"facility":{"type":"integer"},"number":{"type":"integer"},"serial":{"type":"string","maxLength":40},"state":{"enum":["in use","lost","withdrawn"]}},"required":["id","facility","number","state"]}},"groups":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":50,"uniqueItems":true},"company":{"type":"string","minLength":1,"maxLength":120},"contact":{"type":"string","minLength":1,"maxLength":120},"remark":{"type":"string","minLength":1,"maxLength":500},"validFrom":{"type":"string","maxLength":16},"validUntil":{"type":"string","maxLength":16},"longer":{"type":"boolean"},"code":{"type":"string","pattern":"^[0-9]+$","minLength":4,"maxLength":8},"duress":{"type":"string","pattern":"^[0-9]+$","minLength":4,"maxLength":8},"knew":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":100}},"required":["id","number","name","cards","groups"]};
const pattern79 = new RegExp("^[0-9]+$", "u");

function validate19(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.number === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "number"},message:"must have required property '"+"number"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.cards === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "cards"},message:"must have required property '"+"cards"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(!(false)){
if(data.groups === undefined){
const err4 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "groups"},message:"must have required property '"+"groups"+"'"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
for(const key0 in data){
if(!(func2.call(schema20.properties, key0))){
const err5 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(func3(data0) < 1){
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(!pattern0.test(data0)){
const err8 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.number !== undefined){
let data1 = data.number;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err10 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
else {
const err11 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.name !== undefined){
let data2 = data.name;
if(typeof data2 === "string"){
if(func3(data2) > 120){
const err12 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
if(func3(data2) < 1){
const err13 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
else {
const err14 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(data.cards !== undefined){
let data3 = data.cards;
if(Array.isArray(data3)){
if(data3.length > 10){
const err15 = {instancePath:instancePath+"/cards",schemaPath:"#/properties/cards/maxItems",keyword:"maxItems",params:{limit: 10},message:"must NOT have more than 10 items"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
const len0 = data3.length;
for(let i0=0; i0<len0; i0++){
let data4 = data3[i0];
if(data4 && typeof data4 == "object" && !Array.isArray(data4)){
if(!(false)){
if(data4.id === undefined){
const err16 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(!(false)){
if(data4.facility === undefined){
const err17 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/required",keyword:"required",params:{missingProperty: "facility"},message:"must have required property '"+"facility"+"'"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
if(!(false)){
if(data4.number === undefined){
const err18 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/required",keyword:"required",params:{missingProperty: "number"},message:"must have required property '"+"number"+"'"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
if(!(false)){
if(data4.state === undefined){
const err19 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/required",keyword:"required",params:{missingProperty: "state"},message:"must have required property '"+"state"+"'"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
for(const key1 in data4){
if(!((((((key1 === "id") || (key1 === "format")) || (key1 === "facility")) || (key1 === "number")) || (key1 === "serial")) || (key1 === "state"))){
const err20 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data4.id !== undefined){
let data5 = data4.id;
if(typeof data5 === "string"){
if(func3(data5) > 80){
const err21 = {instancePath:instancePath+"/cards/" + i0+"/id",schemaPath:"#/properties/cards/items/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
if(func3(data5) < 1){
const err22 = {instancePath:instancePath+"/cards/" + i0+"/id",schemaPath:"#/properties/cards/items/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
if(!pattern0.test(data5)){
const err23 = {instancePath:instancePath+"/cards/" + i0+"/id",schemaPath:"#/properties/cards/items/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
else {
const err24 = {instancePath:instancePath+"/cards/" + i0+"/id",schemaPath:"#/properties/cards/items/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
if(data4.format !== undefined){
let data6 = data4.format;
if(typeof data6 === "string"){
if(func3(data6) > 40){
const err25 = {instancePath:instancePath+"/cards/" + i0+"/format",schemaPath:"#/properties/cards/items/properties/format/maxLength",keyword:"maxLength",params:{limit: 40},message:"must NOT have more than 40 characters"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
else {
const err26 = {instancePath:instancePath+"/cards/" + i0+"/format",schemaPath:"#/properties/cards/items/properties/format/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(data4.facility !== undefined){
let data7 = data4.facility;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err27 = {instancePath:instancePath+"/cards/" + i0+"/facility",schemaPath:"#/properties/cards/items/properties/facility/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
if(data4.number !== undefined){
let data8 = data4.number;
if(!((typeof data8 == "number") && (!(data8 % 1) && !isNaN(data8)))){
const err28 = {instancePath:instancePath+"/cards/" + i0+"/number",schemaPath:"#/properties/cards/items/properties/number/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
if(data4.serial !== undefined){
let data9 = data4.serial;
if(typeof data9 === "string"){
if(func3(data9) > 40){
const err29 = {instancePath:instancePath+"/cards/" + i0+"/serial",schemaPath:"#/properties/cards/items/properties/serial/maxLength",keyword:"maxLength",params:{limit: 40},message:"must NOT have more than 40 characters"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
else {
const err30 = {instancePath:instancePath+"/cards/" + i0+"/serial",schemaPath:"#/properties/cards/items/properties/serial/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(data4.state !== undefined){
let data10 = data4.state;
if(!(((data10 === "in use") || (data10 === "lost")) || (data10 === "withdrawn"))){
const err31 = {instancePath:instancePath+"/cards/" + i0+"/state",schemaPath:"#/properties/cards/items/properties/state/enum",keyword:"enum",params:{allowedValues: schema20.properties.cards.items.properties.state.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
}
else {
const err32 = {instancePath:instancePath+"/cards/" + i0,schemaPath:"#/properties/cards/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
}
else {
const err33 = {instancePath:instancePath+"/cards",schemaPath:"#/properties/cards/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(data.groups !== undefined){
let data11 = data.groups;
if(Array.isArray(data11)){
if(data11.length > 50){
const err34 = {instancePath:instancePath+"/groups",schemaPath:"#/properties/groups/maxItems",keyword:"maxItems",params:{limit: 50},message:"must NOT have more than 50 items"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
const len1 = data11.length;
for(let i1=0; i1<len1; i1++){
let data12 = data11[i1];
if(typeof data12 === "string"){
if(func3(data12) > 80){
const err35 = {instancePath:instancePath+"/groups/" + i1,schemaPath:"#/properties/groups/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
if(func3(data12) < 1){
const err36 = {instancePath:instancePath+"/groups/" + i1,schemaPath:"#/properties/groups/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
if(!pattern0.test(data12)){
const err37 = {instancePath:instancePath+"/groups/" + i1,schemaPath:"#/properties/groups/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
else {
const err38 = {instancePath:instancePath+"/groups/" + i1,schemaPath:"#/properties/groups/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
let i2 = data11.length;
let j0;
if(i2 > 1){
const indices0 = {};
for(;i2--;){
let item0 = data11[i2];
if(typeof item0 !== "string"){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err39 = {instancePath:instancePath+"/groups",schemaPath:"#/properties/groups/uniqueItems",keyword:"uniqueItems",params:{i: i2, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i2+" are identical)"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
break;
}
indices0[item0] = i2;
}
}
}
else {
const err40 = {instancePath:instancePath+"/groups",schemaPath:"#/properties/groups/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
if(data.company !== undefined){
let data13 = data.company;
if(typeof data13 === "string"){
if(func3(data13) > 120){
const err41 = {instancePath:instancePath+"/company",schemaPath:"#/properties/company/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
if(func3(data13) < 1){
const err42 = {instancePath:instancePath+"/company",schemaPath:"#/properties/company/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
else {
const err43 = {instancePath:instancePath+"/company",schemaPath:"#/properties/company/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
if(data.contact !== undefined){
let data14 = data.contact;
if(typeof data14 === "string"){
if(func3(data14) > 120){
const err44 = {instancePath:instancePath+"/contact",schemaPath:"#/properties/contact/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
if(func3(data14) < 1){
const err45 = {instancePath:instancePath+"/contact",schemaPath:"#/properties/contact/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
else {
const err46 = {instancePath:instancePath+"/contact",schemaPath:"#/properties/contact/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
if(data.remark !== undefined){
let data15 = data.remark;
if(typeof data15 === "string"){
if(func3(data15) > 500){
const err47 = {instancePath:instancePath+"/remark",schemaPath:"#/properties/remark/maxLength",keyword:"maxLength",params:{limit: 500},message:"must NOT have more than 500 characters"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
if(func3(data15) < 1){
const err48 = {instancePath:instancePath+"/remark",schemaPath:"#/properties/remark/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
}
else {
const err49 = {instancePath:instancePath+"/remark",schemaPath:"#/properties/remark/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
}
if(data.validFrom !== undefined){
let data16 = data.validFrom;
if(typeof data16 === "string"){
if(func3(data16) > 16){
const err50 = {instancePath:instancePath+"/validFrom",schemaPath:"#/properties/validFrom/maxLength",keyword:"maxLength",params:{limit: 16},message:"must NOT have more than 16 characters"};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
}
else {
const err51 = {instancePath:instancePath+"/validFrom",schemaPath:"#/properties/validFrom/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
}
if(data.validUntil !== undefined){
let data17 = data.validUntil;
if(typeof data17 === "string"){
if(func3(data17) > 16){
const err52 = {instancePath:instancePath+"/validUntil",schemaPath:"#/properties/validUntil/maxLength",keyword:"maxLength",params:{limit: 16},message:"must NOT have more than 16 characters"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
}
else {
const err53 = {instancePath:instancePath+"/validUntil",schemaPath:"#/properties/validUntil/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
}
if(data.longer !== undefined){
if(typeof data.longer !== "boolean"){
const err54 = {instancePath:instancePath+"/longer",schemaPath:"#/properties/longer/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
}
if(data.code !== undefined){
let data19 = data.code;
if(typeof data19 === "string"){
if(func3(data19) > 8){
const err55 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/maxLength",keyword:"maxLength",params:{limit: 8},message:"must NOT have more than 8 characters"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
if(func3(data19) < 4){
const err56 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/minLength",keyword:"minLength",params:{limit: 4},message:"must NOT have fewer than 4 characters"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
if(!pattern79.test(data19)){
const err57 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/pattern",keyword:"pattern",params:{pattern: "^[0-9]+$"},message:"must match pattern \""+"^[0-9]+$"+"\""};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
}
else {
const err58 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
}
if(data.duress !== undefined){
let data20 = data.duress;
if(typeof data20 === "string"){
if(func3(data20) > 8){
const err59 = {instancePath:instancePath+"/duress",schemaPath:"#/properties/duress/maxLength",keyword:"maxLength",params:{limit: 8},message:"must NOT have more than 8 characters"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
if(func3(data20) < 4){
const err60 = {instancePath:instancePath+"/duress",schemaPath:"#/properties/duress/minLength",keyword:"minLength",params:{limit: 4},message:"must NOT have fewer than 4 characters"};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
if(!pattern79.test(data20)){
const err61 = {instancePath:instancePath+"/duress",schemaPath:"#/properties/duress/pattern",keyword:"pattern",params:{pattern: "^[0-9]+$"},message:"must match pattern \""+"^[0-9]+$"+"\""};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
}
else {
const err62 = {instancePath:instancePath+"/duress",schemaPath:"#/properties/duress/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
}
if(data.knew !== undefined){
let data21 = data.knew;
if(Array.isArray(data21)){
if(data21.length > 100){
const err63 = {instancePath:instancePath+"/knew",schemaPath:"#/properties/knew/maxItems",keyword:"maxItems",params:{limit: 100},message:"must NOT have more than 100 items"};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
const len2 = data21.length;
for(let i3=0; i3<len2; i3++){
let data22 = data21[i3];
if(typeof data22 === "string"){
if(func3(data22) > 80){
const err64 = {instancePath:instancePath+"/knew/" + i3,schemaPath:"#/properties/knew/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
if(func3(data22) < 1){
const err65 = {instancePath:instancePath+"/knew/" + i3,schemaPath:"#/properties/knew/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
if(!pattern0.test(data22)){
const err66 = {instancePath:instancePath+"/knew/" + i3,schemaPath:"#/properties/knew/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
}
else {
const err67 = {instancePath:instancePath+"/knew/" + i3,schemaPath:"#/properties/knew/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
}
}
else {
const err68 = {instancePath:instancePath+"/knew",schemaPath:"#/properties/knew/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err68];
}
else {
vErrors.push(err68);
}
errors++;
}
}
}
else {
const err69 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
validate19.errors = vErrors;
return errors === 0;
}

export const group_put = validate20;
const schema21 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"parent":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","name"]};

function validate20(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!(((key0 === "id") || (key0 === "name")) || (key0 === "parent"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err3 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data0) < 1){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(!pattern0.test(data0)){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 120){
const err7 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(func3(data1) < 1){
const err8 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.parent !== undefined){
let data2 = data.parent;
if(typeof data2 === "string"){
if(func3(data2) > 80){
const err10 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(func3(data2) < 1){
const err11 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
if(!pattern0.test(data2)){
const err12 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
else {
const err13 = {instancePath:instancePath+"/parent",schemaPath:"#/properties/parent/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
}
else {
const err14 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
validate20.errors = vErrors;
return errors === 0;
}

export const rule_put = validate21;
const schema22 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"group":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"person":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"doors":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":1000,"uniqueItems":true},"sets":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":100,"uniqueItems":true},"schedule":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"validFrom":{"type":"string","maxLength":16},"validUntil":{"type":"string","maxLength":16}},"required":["id","doors","schedule"]};

function validate21(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.doors === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "doors"},message:"must have required property '"+"doors"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.schedule === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "schedule"},message:"must have required property '"+"schedule"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!((((((((key0 === "id") || (key0 === "group")) || (key0 === "person")) || (key0 === "doors")) || (key0 === "sets")) || (key0 === "schedule")) || (key0 === "validFrom")) || (key0 === "validUntil"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(!pattern0.test(data0)){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
else {
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data.group !== undefined){
let data1 = data.group;
if(typeof data1 === "string"){
if(func3(data1) > 80){
const err8 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
if(func3(data1) < 1){
const err9 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(!pattern0.test(data1)){
const err10 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
else {
const err11 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.person !== undefined){
let data2 = data.person;
if(typeof data2 === "string"){
if(func3(data2) > 80){
const err12 = {instancePath:instancePath+"/person",schemaPath:"#/properties/person/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
if(func3(data2) < 1){
const err13 = {instancePath:instancePath+"/person",schemaPath:"#/properties/person/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(!pattern0.test(data2)){
const err14 = {instancePath:instancePath+"/person",schemaPath:"#/properties/person/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
else {
const err15 = {instancePath:instancePath+"/person",schemaPath:"#/properties/person/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(data.doors !== undefined){
let data3 = data.doors;
if(Array.isArray(data3)){
if(data3.length > 1000){
const err16 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/maxItems",keyword:"maxItems",params:{limit: 1000},message:"must NOT have more than 1000 items"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
const len0 = data3.length;
for(let i0=0; i0<len0; i0++){
let data4 = data3[i0];
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err17 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(func3(data4) < 1){
const err18 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(!pattern0.test(data4)){
const err19 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
let i1 = data3.length;
let j0;
if(i1 > 1){
const indices0 = {};
for(;i1--;){
let item0 = data3[i1];
if(typeof item0 !== "string"){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err21 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/uniqueItems",keyword:"uniqueItems",params:{i: i1, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i1+" are identical)"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
break;
}
indices0[item0] = i1;
}
}
}
else {
const err22 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data.sets !== undefined){
let data5 = data.sets;
if(Array.isArray(data5)){
if(data5.length > 100){
const err23 = {instancePath:instancePath+"/sets",schemaPath:"#/properties/sets/maxItems",keyword:"maxItems",params:{limit: 100},message:"must NOT have more than 100 items"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
const len1 = data5.length;
for(let i2=0; i2<len1; i2++){
let data6 = data5[i2];
if(typeof data6 === "string"){
if(func3(data6) > 80){
const err24 = {instancePath:instancePath+"/sets/" + i2,schemaPath:"#/properties/sets/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
if(func3(data6) < 1){
const err25 = {instancePath:instancePath+"/sets/" + i2,schemaPath:"#/properties/sets/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
if(!pattern0.test(data6)){
const err26 = {instancePath:instancePath+"/sets/" + i2,schemaPath:"#/properties/sets/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
else {
const err27 = {instancePath:instancePath+"/sets/" + i2,schemaPath:"#/properties/sets/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
let i3 = data5.length;
let j1;
if(i3 > 1){
const indices1 = {};
for(;i3--;){
let item1 = data5[i3];
if(typeof item1 !== "string"){
continue;
}
if(typeof indices1[item1] == "number"){
j1 = indices1[item1];
const err28 = {instancePath:instancePath+"/sets",schemaPath:"#/properties/sets/uniqueItems",keyword:"uniqueItems",params:{i: i3, j: j1},message:"must NOT have duplicate items (items ## "+j1+" and "+i3+" are identical)"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
break;
}
indices1[item1] = i3;
}
}
}
else {
const err29 = {instancePath:instancePath+"/sets",schemaPath:"#/properties/sets/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(data.schedule !== undefined){
let data7 = data.schedule;
if(typeof data7 === "string"){
if(func3(data7) > 80){
const err30 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
if(func3(data7) < 1){
const err31 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
if(!pattern0.test(data7)){
const err32 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
else {
const err33 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
if(data.validFrom !== undefined){
let data8 = data.validFrom;
if(typeof data8 === "string"){
if(func3(data8) > 16){
const err34 = {instancePath:instancePath+"/validFrom",schemaPath:"#/properties/validFrom/maxLength",keyword:"maxLength",params:{limit: 16},message:"must NOT have more than 16 characters"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
else {
const err35 = {instancePath:instancePath+"/validFrom",schemaPath:"#/properties/validFrom/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
if(data.validUntil !== undefined){
let data9 = data.validUntil;
if(typeof data9 === "string"){
if(func3(data9) > 16){
const err36 = {instancePath:instancePath+"/validUntil",schemaPath:"#/properties/validUntil/maxLength",keyword:"maxLength",params:{limit: 16},message:"must NOT have more than 16 characters"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
}
else {
const err37 = {instancePath:instancePath+"/validUntil",schemaPath:"#/properties/validUntil/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
}
else {
const err38 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
validate21.errors = vErrors;
return errors === 0;
}

export const reaction_put = validate22;
const schema23 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"door":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"when":{"enum":["granted","refused","duress","forced","heldOpen","preAlarm","exit","desk","input","inputEnds"]},"part":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"group":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"twice":{"const":true},"schedule":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"then":{"enum":["pulse","hold","setPanel","unsetPanel","release"]},"output":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"seconds":{"type":"number","minimum":0.5,"maximum":3600},"lets":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"blind":{"type":"string","minLength":4,"maxLength":300,"pattern":"\\S"}},"required":["id","door","when","then"]};
const pattern97 = new RegExp("\\S", "u");

function validate22(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.door === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "door"},message:"must have required property '"+"door"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.when === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "when"},message:"must have required property '"+"when"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.then === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "then"},message:"must have required property '"+"then"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
for(const key0 in data){
if(!(func2.call(schema23.properties, key0))){
const err4 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(func3(data0) < 1){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(!pattern0.test(data0)){
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(data.door !== undefined){
let data1 = data.door;
if(typeof data1 === "string"){
if(func3(data1) > 80){
const err9 = {instancePath:instancePath+"/door",schemaPath:"#/properties/door/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(func3(data1) < 1){
const err10 = {instancePath:instancePath+"/door",schemaPath:"#/properties/door/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(!pattern0.test(data1)){
const err11 = {instancePath:instancePath+"/door",schemaPath:"#/properties/door/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/door",schemaPath:"#/properties/door/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data.when !== undefined){
let data2 = data.when;
if(!((((((((((data2 === "granted") || (data2 === "refused")) || (data2 === "duress")) || (data2 === "forced")) || (data2 === "heldOpen")) || (data2 === "preAlarm")) || (data2 === "exit")) || (data2 === "desk")) || (data2 === "input")) || (data2 === "inputEnds"))){
const err13 = {instancePath:instancePath+"/when",schemaPath:"#/properties/when/enum",keyword:"enum",params:{allowedValues: schema23.properties.when.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(data.part !== undefined){
let data3 = data.part;
if(typeof data3 === "string"){
if(func3(data3) > 80){
const err14 = {instancePath:instancePath+"/part",schemaPath:"#/properties/part/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(func3(data3) < 1){
const err15 = {instancePath:instancePath+"/part",schemaPath:"#/properties/part/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
if(!pattern0.test(data3)){
const err16 = {instancePath:instancePath+"/part",schemaPath:"#/properties/part/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
else {
const err17 = {instancePath:instancePath+"/part",schemaPath:"#/properties/part/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
if(data.group !== undefined){
let data4 = data.group;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err18 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(func3(data4) < 1){
const err19 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
if(!pattern0.test(data4)){
const err20 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
else {
const err21 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data.twice !== undefined){
if(true !== data.twice){
const err22 = {instancePath:instancePath+"/twice",schemaPath:"#/properties/twice/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data.schedule !== undefined){
let data6 = data.schedule;
if(typeof data6 === "string"){
if(func3(data6) > 80){
const err23 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
if(func3(data6) < 1){
const err24 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
if(!pattern0.test(data6)){
const err25 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
else {
const err26 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(data.then !== undefined){
let data7 = data.then;
if(!(((((data7 === "pulse") || (data7 === "hold")) || (data7 === "setPanel")) || (data7 === "unsetPanel")) || (data7 === "release"))){
const err27 = {instancePath:instancePath+"/then",schemaPath:"#/properties/then/enum",keyword:"enum",params:{allowedValues: schema23.properties.then.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
if(data.output !== undefined){
let data8 = data.output;
if(typeof data8 === "string"){
if(func3(data8) > 80){
const err28 = {instancePath:instancePath+"/output",schemaPath:"#/properties/output/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
if(func3(data8) < 1){
const err29 = {instancePath:instancePath+"/output",schemaPath:"#/properties/output/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
if(!pattern0.test(data8)){
const err30 = {instancePath:instancePath+"/output",schemaPath:"#/properties/output/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
else {
const err31 = {instancePath:instancePath+"/output",schemaPath:"#/properties/output/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
if(data.seconds !== undefined){
let data9 = data.seconds;
if(typeof data9 == "number"){
if(data9 > 3600 || isNaN(data9)){
const err32 = {instancePath:instancePath+"/seconds",schemaPath:"#/properties/seconds/maximum",keyword:"maximum",params:{comparison: "<=", limit: 3600},message:"must be <= 3600"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
if(data9 < 0.5 || isNaN(data9)){
const err33 = {instancePath:instancePath+"/seconds",schemaPath:"#/properties/seconds/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0.5},message:"must be >= 0.5"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
else {
const err34 = {instancePath:instancePath+"/seconds",schemaPath:"#/properties/seconds/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(data.lets !== undefined){
let data10 = data.lets;
if(typeof data10 === "string"){
if(func3(data10) > 80){
const err35 = {instancePath:instancePath+"/lets",schemaPath:"#/properties/lets/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
if(func3(data10) < 1){
const err36 = {instancePath:instancePath+"/lets",schemaPath:"#/properties/lets/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
if(!pattern0.test(data10)){
const err37 = {instancePath:instancePath+"/lets",schemaPath:"#/properties/lets/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
else {
const err38 = {instancePath:instancePath+"/lets",schemaPath:"#/properties/lets/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
if(data.blind !== undefined){
let data11 = data.blind;
if(typeof data11 === "string"){
if(func3(data11) > 300){
const err39 = {instancePath:instancePath+"/blind",schemaPath:"#/properties/blind/maxLength",keyword:"maxLength",params:{limit: 300},message:"must NOT have more than 300 characters"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
if(func3(data11) < 4){
const err40 = {instancePath:instancePath+"/blind",schemaPath:"#/properties/blind/minLength",keyword:"minLength",params:{limit: 4},message:"must NOT have fewer than 4 characters"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
if(!pattern97.test(data11)){
const err41 = {instancePath:instancePath+"/blind",schemaPath:"#/properties/blind/pattern",keyword:"pattern",params:{pattern: "\\S"},message:"must match pattern \""+"\\S"+"\""};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
}
else {
const err42 = {instancePath:instancePath+"/blind",schemaPath:"#/properties/blind/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
}
else {
const err43 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
validate22.errors = vErrors;
return errors === 0;
}

export const doorSet_put = validate23;
const schema24 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"doors":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":1000,"uniqueItems":true,"minItems":1}},"required":["id","name","doors"]};

function validate23(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.doors === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "doors"},message:"must have required property '"+"doors"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!(((key0 === "id") || (key0 === "name")) || (key0 === "doors"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(!pattern0.test(data0)){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
else {
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 120){
const err8 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
if(func3(data1) < 1){
const err9 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
else {
const err10 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
if(data.doors !== undefined){
let data2 = data.doors;
if(Array.isArray(data2)){
if(data2.length > 1000){
const err11 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/maxItems",keyword:"maxItems",params:{limit: 1000},message:"must NOT have more than 1000 items"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
if(data2.length < 1){
const err12 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/minItems",keyword:"minItems",params:{limit: 1},message:"must NOT have fewer than 1 items"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
const len0 = data2.length;
for(let i0=0; i0<len0; i0++){
let data3 = data2[i0];
if(typeof data3 === "string"){
if(func3(data3) > 80){
const err13 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(func3(data3) < 1){
const err14 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(!pattern0.test(data3)){
const err15 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
else {
const err16 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
let i1 = data2.length;
let j0;
if(i1 > 1){
const indices0 = {};
for(;i1--;){
let item0 = data2[i1];
if(typeof item0 !== "string"){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err17 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/uniqueItems",keyword:"uniqueItems",params:{i: i1, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i1+" are identical)"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
break;
}
indices0[item0] = i1;
}
}
}
else {
const err18 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
}
else {
const err19 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
validate23.errors = vErrors;
return errors === 0;
}

export const schedule_put = validate24;
const schema25 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"everyDay":{"const":true},"periods":{"type":"array","maxItems":30,"items":{"type":"object","additionalProperties":false,"properties":{"days":{"type":"array","items":{"type":"integer","minimum":1,"maximum":7},"uniqueItems":true},"from":{"type":"string","maxLength":5},"to":{"type":"string","maxLength":5}},"required":["days","from","to"]}}},"required":["id","name","periods"]};

function validate24(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.periods === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "periods"},message:"must have required property '"+"periods"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!((((key0 === "id") || (key0 === "name")) || (key0 === "everyDay")) || (key0 === "periods"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err4 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(!pattern0.test(data0)){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
else {
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 120){
const err8 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
if(func3(data1) < 1){
const err9 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
else {
const err10 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
if(data.everyDay !== undefined){
if(true !== data.everyDay){
const err11 = {instancePath:instancePath+"/everyDay",schemaPath:"#/properties/everyDay/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.periods !== undefined){
let data3 = data.periods;
if(Array.isArray(data3)){
if(data3.length > 30){
const err12 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/maxItems",keyword:"maxItems",params:{limit: 30},message:"must NOT have more than 30 items"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
const len0 = data3.length;
for(let i0=0; i0<len0; i0++){
let data4 = data3[i0];
if(data4 && typeof data4 == "object" && !Array.isArray(data4)){
if(!(false)){
if(data4.days === undefined){
const err13 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "days"},message:"must have required property '"+"days"+"'"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(!(false)){
if(data4.from === undefined){
const err14 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(!(false)){
if(data4.to === undefined){
const err15 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "to"},message:"must have required property '"+"to"+"'"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
for(const key1 in data4){
if(!(((key1 === "days") || (key1 === "from")) || (key1 === "to"))){
const err16 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(data4.days !== undefined){
let data5 = data4.days;
if(Array.isArray(data5)){
const len1 = data5.length;
for(let i1=0; i1<len1; i1++){
let data6 = data5[i1];
if(!((typeof data6 == "number") && (!(data6 % 1) && !isNaN(data6)))){
const err17 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(typeof data6 == "number"){
if(data6 > 7 || isNaN(data6)){
const err18 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/maximum",keyword:"maximum",params:{comparison: "<=", limit: 7},message:"must be <= 7"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(data6 < 1 || isNaN(data6)){
const err19 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
}
let i2 = data5.length;
let j0;
if(i2 > 1){
const indices0 = {};
for(;i2--;){
let item0 = data5[i2];
if(!((typeof item0 == "number") && (!(item0 % 1) && !isNaN(item0)))){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err20 = {instancePath:instancePath+"/periods/" + i0+"/days",schemaPath:"#/properties/periods/items/properties/days/uniqueItems",keyword:"uniqueItems",params:{i: i2, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i2+" are identical)"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
break;
}
indices0[item0] = i2;
}
}
}
else {
const err21 = {instancePath:instancePath+"/periods/" + i0+"/days",schemaPath:"#/properties/periods/items/properties/days/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
if(data4.from !== undefined){
let data7 = data4.from;
if(typeof data7 === "string"){
if(func3(data7) > 5){
const err22 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
else {
const err23 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
if(data4.to !== undefined){
let data8 = data4.to;
if(typeof data8 === "string"){
if(func3(data8) > 5){
const err24 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
else {
const err25 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
}
else {
const err26 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
}
else {
const err27 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
}
else {
const err28 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
validate24.errors = vErrors;
return errors === 0;
}

export const specialDay_put = validate25;
const schema26 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"date":{"type":"string","format":"date"},"periods":{"type":"array","maxItems":10,"items":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"string","maxLength":5},"to":{"type":"string","maxLength":5}},"required":["from","to"]}},"until":{"type":"string","format":"date"},"yearly":{"const":true},"schedules":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":200,"uniqueItems":true}},"required":["id","name","date","periods"]};
const formats0 = exportsOf(module1).fullFormats.date;

function validate25(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.date === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "date"},message:"must have required property '"+"date"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.periods === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "periods"},message:"must have required property '"+"periods"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
for(const key0 in data){
if(!(((((((key0 === "id") || (key0 === "name")) || (key0 === "date")) || (key0 === "periods")) || (key0 === "until")) || (key0 === "yearly")) || (key0 === "schedules"))){
const err4 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(func3(data0) > 80){
const err5 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
if(func3(data0) < 1){
const err6 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(!pattern0.test(data0)){
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 120){
const err9 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(func3(data1) < 1){
const err10 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
else {
const err11 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.date !== undefined){
let data2 = data.date;
if(typeof data2 === "string"){
if(!(formats0.validate(data2))){
const err12 = {instancePath:instancePath+"/date",schemaPath:"#/properties/date/format",keyword:"format",params:{format: "date"},message:"must match format \""+"date"+"\""};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
else {
const err13 = {instancePath:instancePath+"/date",schemaPath:"#/properties/date/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(data.periods !== undefined){
let data3 = data.periods;
if(Array.isArray(data3)){
if(data3.length > 10){
const err14 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/maxItems",keyword:"maxItems",params:{limit: 10},message:"must NOT have more than 10 items"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
const len0 = data3.length;
for(let i0=0; i0<len0; i0++){
let data4 = data3[i0];
if(data4 && typeof data4 == "object" && !Array.isArray(data4)){
if(!(false)){
if(data4.from === undefined){
const err15 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(!(false)){
if(data4.to === undefined){
const err16 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "to"},message:"must have required property '"+"to"+"'"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
for(const key1 in data4){
if(!((key1 === "from") || (key1 === "to"))){
const err17 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
if(data4.from !== undefined){
let data5 = data4.from;
if(typeof data5 === "string"){
if(func3(data5) > 5){
const err18 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
else {
const err19 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
if(data4.to !== undefined){
let data6 = data4.to;
if(typeof data6 === "string"){
if(func3(data6) > 5){
const err20 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
else {
const err21 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
}
else {
const err22 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
}
else {
const err23 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
if(data.until !== undefined){
let data7 = data.until;
if(typeof data7 === "string"){
if(!(formats0.validate(data7))){
const err24 = {instancePath:instancePath+"/until",schemaPath:"#/properties/until/format",keyword:"format",params:{format: "date"},message:"must match format \""+"date"+"\""};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
else {
const err25 = {instancePath:instancePath+"/until",schemaPath:"#/properties/until/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data.yearly !== undefined){
if(true !== data.yearly){
const err26 = {instancePath:instancePath+"/yearly",schemaPath:"#/properties/yearly/const",keyword:"const",params:{allowedValue: true},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(data.schedules !== undefined){
let data9 = data.schedules;
if(Array.isArray(data9)){
if(data9.length > 200){
const err27 = {instancePath:instancePath+"/schedules",schemaPath:"#/properties/schedules/maxItems",keyword:"maxItems",params:{limit: 200},message:"must NOT have more than 200 items"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
const len1 = data9.length;
for(let i1=0; i1<len1; i1++){
let data10 = data9[i1];
if(typeof data10 === "string"){
if(func3(data10) > 80){
const err28 = {instancePath:instancePath+"/schedules/" + i1,schemaPath:"#/properties/schedules/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
if(func3(data10) < 1){
const err29 = {instancePath:instancePath+"/schedules/" + i1,schemaPath:"#/properties/schedules/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
if(!pattern0.test(data10)){
const err30 = {instancePath:instancePath+"/schedules/" + i1,schemaPath:"#/properties/schedules/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
else {
const err31 = {instancePath:instancePath+"/schedules/" + i1,schemaPath:"#/properties/schedules/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
let i2 = data9.length;
let j0;
if(i2 > 1){
const indices0 = {};
for(;i2--;){
let item0 = data9[i2];
if(typeof item0 !== "string"){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err32 = {instancePath:instancePath+"/schedules",schemaPath:"#/properties/schedules/uniqueItems",keyword:"uniqueItems",params:{i: i2, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i2+" are identical)"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
break;
}
indices0[item0] = i2;
}
}
}
else {
const err33 = {instancePath:instancePath+"/schedules",schemaPath:"#/properties/schedules/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
}
else {
const err34 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
validate25.errors = vErrors;
return errors === 0;
}

export const cardFormat_put = validate26;
const schema27 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^[a-z0-9-]{1,40}$"},"name":{"type":"string","minLength":1,"maxLength":60,"pattern":"\\S"},"bits":{"type":"integer","minimum":1,"maximum":256},"facility":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"integer","minimum":0,"maximum":256},"length":{"type":"integer","minimum":1,"maximum":256}},"required":["from","length"]},"number":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"integer","minimum":0,"maximum":256},"length":{"type":"integer","minimum":1,"maximum":256}},"required":["from","length"]},"parity":{"type":"array","maxItems":8,"items":{"type":"object","additionalProperties":false,"properties":{"at":{"type":"integer","minimum":0,"maximum":256},"kind":{"enum":["even","odd"]},"over":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"integer","minimum":0,"maximum":256},"length":{"type":"integer","minimum":1,"maximum":256}},"required":["from","length"]}},"required":["at","kind","over"]}},"keeps":{"enum":["wiegand26","wiegand34","serial4","serial7","wide"]}},"required":["id","name","bits","number","parity","keeps"]};

function validate26(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.id === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "id"},message:"must have required property '"+"id"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.name === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.bits === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "bits"},message:"must have required property '"+"bits"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(!(false)){
if(data.number === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "number"},message:"must have required property '"+"number"+"'"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(!(false)){
if(data.parity === undefined){
const err4 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "parity"},message:"must have required property '"+"parity"+"'"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
if(!(false)){
if(data.keeps === undefined){
const err5 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "keeps"},message:"must have required property '"+"keeps"+"'"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
for(const key0 in data){
if(!(((((((key0 === "id") || (key0 === "name")) || (key0 === "bits")) || (key0 === "facility")) || (key0 === "number")) || (key0 === "parity")) || (key0 === "keeps"))){
const err6 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.id !== undefined){
let data0 = data.id;
if(typeof data0 === "string"){
if(!pattern73.test(data0)){
const err7 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/pattern",keyword:"pattern",params:{pattern: "^[a-z0-9-]{1,40}$"},message:"must match pattern \""+"^[a-z0-9-]{1,40}$"+"\""};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/id",schemaPath:"#/properties/id/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
if(data.name !== undefined){
let data1 = data.name;
if(typeof data1 === "string"){
if(func3(data1) > 60){
const err9 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 60},message:"must NOT have more than 60 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(func3(data1) < 1){
const err10 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(!pattern97.test(data1)){
const err11 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/pattern",keyword:"pattern",params:{pattern: "\\S"},message:"must match pattern \""+"\\S"+"\""};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
else {
const err12 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data.bits !== undefined){
let data2 = data.bits;
if(!((typeof data2 == "number") && (!(data2 % 1) && !isNaN(data2)))){
const err13 = {instancePath:instancePath+"/bits",schemaPath:"#/properties/bits/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(typeof data2 == "number"){
if(data2 > 256 || isNaN(data2)){
const err14 = {instancePath:instancePath+"/bits",schemaPath:"#/properties/bits/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
if(data2 < 1 || isNaN(data2)){
const err15 = {instancePath:instancePath+"/bits",schemaPath:"#/properties/bits/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
}
if(data.facility !== undefined){
let data3 = data.facility;
if(data3 && typeof data3 == "object" && !Array.isArray(data3)){
if(!(false)){
if(data3.from === undefined){
const err16 = {instancePath:instancePath+"/facility",schemaPath:"#/properties/facility/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
if(!(false)){
if(data3.length === undefined){
const err17 = {instancePath:instancePath+"/facility",schemaPath:"#/properties/facility/required",keyword:"required",params:{missingProperty: "length"},message:"must have required property '"+"length"+"'"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
for(const key1 in data3){
if(!((key1 === "from") || (key1 === "length"))){
const err18 = {instancePath:instancePath+"/facility",schemaPath:"#/properties/facility/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
}
if(data3.from !== undefined){
let data4 = data3.from;
if(!((typeof data4 == "number") && (!(data4 % 1) && !isNaN(data4)))){
const err19 = {instancePath:instancePath+"/facility/from",schemaPath:"#/properties/facility/properties/from/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
if(typeof data4 == "number"){
if(data4 > 256 || isNaN(data4)){
const err20 = {instancePath:instancePath+"/facility/from",schemaPath:"#/properties/facility/properties/from/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
if(data4 < 0 || isNaN(data4)){
const err21 = {instancePath:instancePath+"/facility/from",schemaPath:"#/properties/facility/properties/from/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
}
if(data3.length !== undefined){
let data5 = data3.length;
if(!((typeof data5 == "number") && (!(data5 % 1) && !isNaN(data5)))){
const err22 = {instancePath:instancePath+"/facility/length",schemaPath:"#/properties/facility/properties/length/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
if(typeof data5 == "number"){
if(data5 > 256 || isNaN(data5)){
const err23 = {instancePath:instancePath+"/facility/length",schemaPath:"#/properties/facility/properties/length/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
if(data5 < 1 || isNaN(data5)){
const err24 = {instancePath:instancePath+"/facility/length",schemaPath:"#/properties/facility/properties/length/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
}
}
else {
const err25 = {instancePath:instancePath+"/facility",schemaPath:"#/properties/facility/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
}
if(data.number !== undefined){
let data6 = data.number;
if(data6 && typeof data6 == "object" && !Array.isArray(data6)){
if(!(false)){
if(data6.from === undefined){
const err26 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
if(!(false)){
if(data6.length === undefined){
const err27 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/required",keyword:"required",params:{missingProperty: "length"},message:"must have required property '"+"length"+"'"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
for(const key2 in data6){
if(!((key2 === "from") || (key2 === "length"))){
const err28 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
if(data6.from !== undefined){
let data7 = data6.from;
if(!((typeof data7 == "number") && (!(data7 % 1) && !isNaN(data7)))){
const err29 = {instancePath:instancePath+"/number/from",schemaPath:"#/properties/number/properties/from/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
if(typeof data7 == "number"){
if(data7 > 256 || isNaN(data7)){
const err30 = {instancePath:instancePath+"/number/from",schemaPath:"#/properties/number/properties/from/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
if(data7 < 0 || isNaN(data7)){
const err31 = {instancePath:instancePath+"/number/from",schemaPath:"#/properties/number/properties/from/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
}
if(data6.length !== undefined){
let data8 = data6.length;
if(!((typeof data8 == "number") && (!(data8 % 1) && !isNaN(data8)))){
const err32 = {instancePath:instancePath+"/number/length",schemaPath:"#/properties/number/properties/length/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
if(typeof data8 == "number"){
if(data8 > 256 || isNaN(data8)){
const err33 = {instancePath:instancePath+"/number/length",schemaPath:"#/properties/number/properties/length/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
if(data8 < 1 || isNaN(data8)){
const err34 = {instancePath:instancePath+"/number/length",schemaPath:"#/properties/number/properties/length/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
}
}
else {
const err35 = {instancePath:instancePath+"/number",schemaPath:"#/properties/number/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
}
if(data.parity !== undefined){
let data9 = data.parity;
if(Array.isArray(data9)){
if(data9.length > 8){
const err36 = {instancePath:instancePath+"/parity",schemaPath:"#/properties/parity/maxItems",keyword:"maxItems",params:{limit: 8},message:"must NOT have more than 8 items"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
const len0 = data9.length;
for(let i0=0; i0<len0; i0++){
let data10 = data9[i0];
if(data10 && typeof data10 == "object" && !Array.isArray(data10)){
if(!(false)){
if(data10.at === undefined){
const err37 = {instancePath:instancePath+"/parity/" + i0,schemaPath:"#/properties/parity/items/required",keyword:"required",params:{missingProperty: "at"},message:"must have required property '"+"at"+"'"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
if(!(false)){
if(data10.kind === undefined){
const err38 = {instancePath:instancePath+"/parity/" + i0,schemaPath:"#/properties/parity/items/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
if(!(false)){
if(data10.over === undefined){
const err39 = {instancePath:instancePath+"/parity/" + i0,schemaPath:"#/properties/parity/items/required",keyword:"required",params:{missingProperty: "over"},message:"must have required property '"+"over"+"'"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
for(const key3 in data10){
if(!(((key3 === "at") || (key3 === "kind")) || (key3 === "over"))){
const err40 = {instancePath:instancePath+"/parity/" + i0,schemaPath:"#/properties/parity/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key3},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
if(data10.at !== undefined){
let data11 = data10.at;
if(!((typeof data11 == "number") && (!(data11 % 1) && !isNaN(data11)))){
const err41 = {instancePath:instancePath+"/parity/" + i0+"/at",schemaPath:"#/properties/parity/items/properties/at/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
if(typeof data11 == "number"){
if(data11 > 256 || isNaN(data11)){
const err42 = {instancePath:instancePath+"/parity/" + i0+"/at",schemaPath:"#/properties/parity/items/properties/at/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
if(data11 < 0 || isNaN(data11)){
const err43 = {instancePath:instancePath+"/parity/" + i0+"/at",schemaPath:"#/properties/parity/items/properties/at/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
}
if(data10.kind !== undefined){
let data12 = data10.kind;
if(!((data12 === "even") || (data12 === "odd"))){
const err44 = {instancePath:instancePath+"/parity/" + i0+"/kind",schemaPath:"#/properties/parity/items/properties/kind/enum",keyword:"enum",params:{allowedValues: schema27.properties.parity.items.properties.kind.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
}
if(data10.over !== undefined){
let data13 = data10.over;
if(data13 && typeof data13 == "object" && !Array.isArray(data13)){
if(!(false)){
if(data13.from === undefined){
const err45 = {instancePath:instancePath+"/parity/" + i0+"/over",schemaPath:"#/properties/parity/items/properties/over/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
if(!(false)){
if(data13.length === undefined){
const err46 = {instancePath:instancePath+"/parity/" + i0+"/over",schemaPath:"#/properties/parity/items/properties/over/required",keyword:"required",params:{missingProperty: "length"},message:"must have required property '"+"length"+"'"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
for(const key4 in data13){
if(!((key4 === "from") || (key4 === "length"))){
const err47 = {instancePath:instancePath+"/parity/" + i0+"/over",schemaPath:"#/properties/parity/items/properties/over/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key4},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
if(data13.from !== undefined){
let data14 = data13.from;
if(!((typeof data14 == "number") && (!(data14 % 1) && !isNaN(data14)))){
const err48 = {instancePath:instancePath+"/parity/" + i0+"/over/from",schemaPath:"#/properties/parity/items/properties/over/properties/from/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
if(typeof data14 == "number"){
if(data14 > 256 || isNaN(data14)){
const err49 = {instancePath:instancePath+"/parity/" + i0+"/over/from",schemaPath:"#/properties/parity/items/properties/over/properties/from/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
if(data14 < 0 || isNaN(data14)){
const err50 = {instancePath:instancePath+"/parity/" + i0+"/over/from",schemaPath:"#/properties/parity/items/properties/over/properties/from/minimum",keyword:"minimum",params:{comparison: ">=", limit: 0},message:"must be >= 0"};
if(vErrors === null){
vErrors = [err50];
}
else {
vErrors.push(err50);
}
errors++;
}
}
}
if(data13.length !== undefined){
let data15 = data13.length;
if(!((typeof data15 == "number") && (!(data15 % 1) && !isNaN(data15)))){
const err51 = {instancePath:instancePath+"/parity/" + i0+"/over/length",schemaPath:"#/properties/parity/items/properties/over/properties/length/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
if(typeof data15 == "number"){
if(data15 > 256 || isNaN(data15)){
const err52 = {instancePath:instancePath+"/parity/" + i0+"/over/length",schemaPath:"#/properties/parity/items/properties/over/properties/length/maximum",keyword:"maximum",params:{comparison: "<=", limit: 256},message:"must be <= 256"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
if(data15 < 1 || isNaN(data15)){
const err53 = {instancePath:instancePath+"/parity/" + i0+"/over/length",schemaPath:"#/properties/parity/items/properties/over/properties/length/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
}
}
}
else {
const err54 = {instancePath:instancePath+"/parity/" + i0+"/over",schemaPath:"#/properties/parity/items/properties/over/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
}
}
else {
const err55 = {instancePath:instancePath+"/parity/" + i0,schemaPath:"#/properties/parity/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
}
else {
const err56 = {instancePath:instancePath+"/parity",schemaPath:"#/properties/parity/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
}
if(data.keeps !== undefined){
let data16 = data.keeps;
if(!(((((data16 === "wiegand26") || (data16 === "wiegand34")) || (data16 === "serial4")) || (data16 === "serial7")) || (data16 === "wide"))){
const err57 = {instancePath:instancePath+"/keeps",schemaPath:"#/properties/keeps/enum",keyword:"enum",params:{allowedValues: schema27.properties.keeps.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err57];
}
else {
vErrors.push(err57);
}
errors++;
}
}
}
else {
const err58 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
validate26.errors = vErrors;
return errors === 0;
}

export const body_account = validate27;
const schema28 = {"type":"object","additionalProperties":false,"properties":{"name":{"type":"string","minLength":1,"maxLength":200},"password":{"type":"string","minLength":10,"maxLength":200},"role":{"enum":["lead","engineer","witness","viewer"]}},"required":["name","password","role"]};

function validate27(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.name === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.password === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.role === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "role"},message:"must have required property '"+"role"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!(((key0 === "name") || (key0 === "password")) || (key0 === "role"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.name !== undefined){
let data0 = data.name;
if(typeof data0 === "string"){
if(func3(data0) > 200){
const err4 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.password !== undefined){
let data1 = data.password;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err7 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(func3(data1) < 10){
const err8 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/minLength",keyword:"minLength",params:{limit: 10},message:"must NOT have fewer than 10 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.role !== undefined){
let data2 = data.role;
if(!((((data2 === "lead") || (data2 === "engineer")) || (data2 === "witness")) || (data2 === "viewer"))){
const err10 = {instancePath:instancePath+"/role",schemaPath:"#/properties/role/enum",keyword:"enum",params:{allowedValues: schema28.properties.role.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
}
else {
const err11 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
validate27.errors = vErrors;
return errors === 0;
}

export const body_newPassword = validate28;
const schema29 = {"type":"object","additionalProperties":false,"properties":{"password":{"type":"string","minLength":10,"maxLength":200}},"required":["password"]};

function validate28(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.password === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
for(const key0 in data){
if(!(key0 === "password")){
const err1 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(data.password !== undefined){
let data0 = data.password;
if(typeof data0 === "string"){
if(func3(data0) > 200){
const err2 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
if(func3(data0) < 10){
const err3 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/minLength",keyword:"minLength",params:{limit: 10},message:"must NOT have fewer than 10 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
else {
const err4 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
}
else {
const err5 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
validate28.errors = vErrors;
return errors === 0;
}

export const body_ownPassword = validate29;
const schema30 = {"type":"object","additionalProperties":false,"properties":{"old":{"type":"string","minLength":1,"maxLength":200},"password":{"type":"string","minLength":10,"maxLength":200}},"required":["old","password"]};

function validate29(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.old === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "old"},message:"must have required property '"+"old"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.password === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!((key0 === "old") || (key0 === "password"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.old !== undefined){
let data0 = data.old;
if(typeof data0 === "string"){
if(func3(data0) > 200){
const err3 = {instancePath:instancePath+"/old",schemaPath:"#/properties/old/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data0) < 1){
const err4 = {instancePath:instancePath+"/old",schemaPath:"#/properties/old/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
else {
const err5 = {instancePath:instancePath+"/old",schemaPath:"#/properties/old/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(data.password !== undefined){
let data1 = data.password;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err6 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(func3(data1) < 10){
const err7 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/minLength",keyword:"minLength",params:{limit: 10},message:"must NOT have fewer than 10 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
}
else {
const err9 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
validate29.errors = vErrors;
return errors === 0;
}

export const body_firstUse = validate30;
const schema31 = {"type":"object","additionalProperties":false,"properties":{"name":{"type":"string","minLength":1,"maxLength":200},"password":{"type":"string","minLength":10,"maxLength":200},"code":{"type":"string","maxLength":200},"job":{"type":"object","additionalProperties":false,"properties":{"name":{"type":"string","minLength":1,"maxLength":120},"client":{"type":"string","maxLength":200},"site":{"type":"string","maxLength":200},"zone":{"type":"string","minLength":1,"maxLength":120},"network":{"type":"object","additionalProperties":false,"properties":{"address":{"type":"string","maxLength":200},"prefix":{"type":"integer","minimum":8,"maximum":30},"gateway":{"type":"string","maxLength":200},"timeServer":{"type":"string","maxLength":200},"reserved":{"type":"string","maxLength":200}},"required":["address","prefix","gateway","timeServer"]}},"required":["name","client","site","zone","network"]}},"required":["name","password","job"]};

function validate30(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.name === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.password === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
if(!(false)){
if(data.job === undefined){
const err2 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "job"},message:"must have required property '"+"job"+"'"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
for(const key0 in data){
if(!((((key0 === "name") || (key0 === "password")) || (key0 === "code")) || (key0 === "job"))){
const err3 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
}
if(data.name !== undefined){
let data0 = data.name;
if(typeof data0 === "string"){
if(func3(data0) > 200){
const err4 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
if(func3(data0) < 1){
const err5 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
else {
const err6 = {instancePath:instancePath+"/name",schemaPath:"#/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
}
if(data.password !== undefined){
let data1 = data.password;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err7 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
if(func3(data1) < 10){
const err8 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/minLength",keyword:"minLength",params:{limit: 10},message:"must NOT have fewer than 10 characters"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
else {
const err9 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
}
if(data.code !== undefined){
let data2 = data.code;
if(typeof data2 === "string"){
if(func3(data2) > 200){
const err10 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
}
else {
const err11 = {instancePath:instancePath+"/code",schemaPath:"#/properties/code/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
}
if(data.job !== undefined){
let data3 = data.job;
if(data3 && typeof data3 == "object" && !Array.isArray(data3)){
if(!(false)){
if(data3.name === undefined){
const err12 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/required",keyword:"required",params:{missingProperty: "name"},message:"must have required property '"+"name"+"'"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(!(false)){
if(data3.client === undefined){
const err13 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/required",keyword:"required",params:{missingProperty: "client"},message:"must have required property '"+"client"+"'"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
}
if(!(false)){
if(data3.site === undefined){
const err14 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/required",keyword:"required",params:{missingProperty: "site"},message:"must have required property '"+"site"+"'"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
if(!(false)){
if(data3.zone === undefined){
const err15 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/required",keyword:"required",params:{missingProperty: "zone"},message:"must have required property '"+"zone"+"'"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(!(false)){
if(data3.network === undefined){
const err16 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/required",keyword:"required",params:{missingProperty: "network"},message:"must have required property '"+"network"+"'"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
}
for(const key1 in data3){
if(!(((((key1 === "name") || (key1 === "client")) || (key1 === "site")) || (key1 === "zone")) || (key1 === "network"))){
const err17 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
}
if(data3.name !== undefined){
let data4 = data3.name;
if(typeof data4 === "string"){
if(func3(data4) > 120){
const err18 = {instancePath:instancePath+"/job/name",schemaPath:"#/properties/job/properties/name/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err18];
}
else {
vErrors.push(err18);
}
errors++;
}
if(func3(data4) < 1){
const err19 = {instancePath:instancePath+"/job/name",schemaPath:"#/properties/job/properties/name/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
else {
const err20 = {instancePath:instancePath+"/job/name",schemaPath:"#/properties/job/properties/name/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data3.client !== undefined){
let data5 = data3.client;
if(typeof data5 === "string"){
if(func3(data5) > 200){
const err21 = {instancePath:instancePath+"/job/client",schemaPath:"#/properties/job/properties/client/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
}
else {
const err22 = {instancePath:instancePath+"/job/client",schemaPath:"#/properties/job/properties/client/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data3.site !== undefined){
let data6 = data3.site;
if(typeof data6 === "string"){
if(func3(data6) > 200){
const err23 = {instancePath:instancePath+"/job/site",schemaPath:"#/properties/job/properties/site/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
else {
const err24 = {instancePath:instancePath+"/job/site",schemaPath:"#/properties/job/properties/site/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
}
if(data3.zone !== undefined){
let data7 = data3.zone;
if(typeof data7 === "string"){
if(func3(data7) > 120){
const err25 = {instancePath:instancePath+"/job/zone",schemaPath:"#/properties/job/properties/zone/maxLength",keyword:"maxLength",params:{limit: 120},message:"must NOT have more than 120 characters"};
if(vErrors === null){
vErrors = [err25];
}
else {
vErrors.push(err25);
}
errors++;
}
if(func3(data7) < 1){
const err26 = {instancePath:instancePath+"/job/zone",schemaPath:"#/properties/job/properties/zone/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err26];
}
else {
vErrors.push(err26);
}
errors++;
}
}
else {
const err27 = {instancePath:instancePath+"/job/zone",schemaPath:"#/properties/job/properties/zone/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
}
if(data3.network !== undefined){
let data8 = data3.network;
if(data8 && typeof data8 == "object" && !Array.isArray(data8)){
if(!(false)){
if(data8.address === undefined){
const err28 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/required",keyword:"required",params:{missingProperty: "address"},message:"must have required property '"+"address"+"'"};
if(vErrors === null){
vErrors = [err28];
}
else {
vErrors.push(err28);
}
errors++;
}
}
if(!(false)){
if(data8.prefix === undefined){
const err29 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/required",keyword:"required",params:{missingProperty: "prefix"},message:"must have required property '"+"prefix"+"'"};
if(vErrors === null){
vErrors = [err29];
}
else {
vErrors.push(err29);
}
errors++;
}
}
if(!(false)){
if(data8.gateway === undefined){
const err30 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/required",keyword:"required",params:{missingProperty: "gateway"},message:"must have required property '"+"gateway"+"'"};
if(vErrors === null){
vErrors = [err30];
}
else {
vErrors.push(err30);
}
errors++;
}
}
if(!(false)){
if(data8.timeServer === undefined){
const err31 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/required",keyword:"required",params:{missingProperty: "timeServer"},message:"must have required property '"+"timeServer"+"'"};
if(vErrors === null){
vErrors = [err31];
}
else {
vErrors.push(err31);
}
errors++;
}
}
for(const key2 in data8){
if(!(((((key2 === "address") || (key2 === "prefix")) || (key2 === "gateway")) || (key2 === "timeServer")) || (key2 === "reserved"))){
const err32 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err32];
}
else {
vErrors.push(err32);
}
errors++;
}
}
if(data8.address !== undefined){
let data9 = data8.address;
if(typeof data9 === "string"){
if(func3(data9) > 200){
const err33 = {instancePath:instancePath+"/job/network/address",schemaPath:"#/properties/job/properties/network/properties/address/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err33];
}
else {
vErrors.push(err33);
}
errors++;
}
}
else {
const err34 = {instancePath:instancePath+"/job/network/address",schemaPath:"#/properties/job/properties/network/properties/address/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err34];
}
else {
vErrors.push(err34);
}
errors++;
}
}
if(data8.prefix !== undefined){
let data10 = data8.prefix;
if(!((typeof data10 == "number") && (!(data10 % 1) && !isNaN(data10)))){
const err35 = {instancePath:instancePath+"/job/network/prefix",schemaPath:"#/properties/job/properties/network/properties/prefix/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err35];
}
else {
vErrors.push(err35);
}
errors++;
}
if(typeof data10 == "number"){
if(data10 > 30 || isNaN(data10)){
const err36 = {instancePath:instancePath+"/job/network/prefix",schemaPath:"#/properties/job/properties/network/properties/prefix/maximum",keyword:"maximum",params:{comparison: "<=", limit: 30},message:"must be <= 30"};
if(vErrors === null){
vErrors = [err36];
}
else {
vErrors.push(err36);
}
errors++;
}
if(data10 < 8 || isNaN(data10)){
const err37 = {instancePath:instancePath+"/job/network/prefix",schemaPath:"#/properties/job/properties/network/properties/prefix/minimum",keyword:"minimum",params:{comparison: ">=", limit: 8},message:"must be >= 8"};
if(vErrors === null){
vErrors = [err37];
}
else {
vErrors.push(err37);
}
errors++;
}
}
}
if(data8.gateway !== undefined){
let data11 = data8.gateway;
if(typeof data11 === "string"){
if(func3(data11) > 200){
const err38 = {instancePath:instancePath+"/job/network/gateway",schemaPath:"#/properties/job/properties/network/properties/gateway/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err38];
}
else {
vErrors.push(err38);
}
errors++;
}
}
else {
const err39 = {instancePath:instancePath+"/job/network/gateway",schemaPath:"#/properties/job/properties/network/properties/gateway/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
if(data8.timeServer !== undefined){
let data12 = data8.timeServer;
if(typeof data12 === "string"){
if(func3(data12) > 200){
const err40 = {instancePath:instancePath+"/job/network/timeServer",schemaPath:"#/properties/job/properties/network/properties/timeServer/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
}
else {
const err41 = {instancePath:instancePath+"/job/network/timeServer",schemaPath:"#/properties/job/properties/network/properties/timeServer/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err41];
}
else {
vErrors.push(err41);
}
errors++;
}
}
if(data8.reserved !== undefined){
let data13 = data8.reserved;
if(typeof data13 === "string"){
if(func3(data13) > 200){
const err42 = {instancePath:instancePath+"/job/network/reserved",schemaPath:"#/properties/job/properties/network/properties/reserved/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err42];
}
else {
vErrors.push(err42);
}
errors++;
}
}
else {
const err43 = {instancePath:instancePath+"/job/network/reserved",schemaPath:"#/properties/job/properties/network/properties/reserved/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err43];
}
else {
vErrors.push(err43);
}
errors++;
}
}
}
else {
const err44 = {instancePath:instancePath+"/job/network",schemaPath:"#/properties/job/properties/network/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
}
}
else {
const err45 = {instancePath:instancePath+"/job",schemaPath:"#/properties/job/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err45];
}
else {
vErrors.push(err45);
}
errors++;
}
}
}
else {
const err46 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
validate30.errors = vErrors;
return errors === 0;
}

export const body_devicePassword = validate31;
const schema32 = {"type":"object","additionalProperties":false,"properties":{"user":{"type":"string","minLength":1,"maxLength":200},"password":{"type":"string","minLength":1,"maxLength":200}},"required":["user","password"]};

function validate31(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
let vErrors = null;
let errors = 0;
if(data && typeof data == "object" && !Array.isArray(data)){
if(!(false)){
if(data.user === undefined){
const err0 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "user"},message:"must have required property '"+"user"+"'"};
if(vErrors === null){
vErrors = [err0];
}
else {
vErrors.push(err0);
}
errors++;
}
}
if(!(false)){
if(data.password === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "password"},message:"must have required property '"+"password"+"'"};
if(vErrors === null){
vErrors = [err1];
}
else {
vErrors.push(err1);
}
errors++;
}
}
for(const key0 in data){
if(!((key0 === "user") || (key0 === "password"))){
const err2 = {instancePath,schemaPath:"#/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key0},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err2];
}
else {
vErrors.push(err2);
}
errors++;
}
}
if(data.user !== undefined){
let data0 = data.user;
if(typeof data0 === "string"){
if(func3(data0) > 200){
const err3 = {instancePath:instancePath+"/user",schemaPath:"#/properties/user/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err3];
}
else {
vErrors.push(err3);
}
errors++;
}
if(func3(data0) < 1){
const err4 = {instancePath:instancePath+"/user",schemaPath:"#/properties/user/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err4];
}
else {
vErrors.push(err4);
}
errors++;
}
}
else {
const err5 = {instancePath:instancePath+"/user",schemaPath:"#/properties/user/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err5];
}
else {
vErrors.push(err5);
}
errors++;
}
}
if(data.password !== undefined){
let data1 = data.password;
if(typeof data1 === "string"){
if(func3(data1) > 200){
const err6 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/maxLength",keyword:"maxLength",params:{limit: 200},message:"must NOT have more than 200 characters"};
if(vErrors === null){
vErrors = [err6];
}
else {
vErrors.push(err6);
}
errors++;
}
if(func3(data1) < 1){
const err7 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err7];
}
else {
vErrors.push(err7);
}
errors++;
}
}
else {
const err8 = {instancePath:instancePath+"/password",schemaPath:"#/properties/password/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err8];
}
else {
vErrors.push(err8);
}
errors++;
}
}
}
else {
const err9 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
validate31.errors = vErrors;
return errors === 0;
}
