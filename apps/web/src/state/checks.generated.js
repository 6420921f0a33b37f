// Made by scripts/checks.ts from the commands' schemas: change those, then run it again.
/* eslint-disable */
import * as module0 from 'ajv/dist/runtime/ucs2length'
import * as module1 from 'ajv-formats/dist/formats'
const exportsOf = (m) => (m.default && typeof m.default === 'object' ? m.default : m)

export const controller_put = validate10;
const schema11 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"ref":{"type":"string","pattern":"^[A-Za-z0-9-]{1,8}$"},"sheet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"cabinet":{"type":"string","minLength":1,"maxLength":120},"supply":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"address":{"type":"string","maxLength":200},"serial":{"type":"string","maxLength":200},"mac":{"type":"string","maxLength":200},"expanders":{"type":"array","maxItems":16,"items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","pattern":"^E[0-9]{1,2}$"},"sheet":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","sheet"]}},"fedFrom":{"type":"object","additionalProperties":false,"properties":{"controller":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"lengthM":{"type":"number","exclusiveMinimum":0,"maximum":500},"type":{"anyOf":[{"type":"object","additionalProperties":false,"properties":{"kind":{"const":"iec"},"conductorClass":{"enum":[2,5]},"mm2":{"enum":[0.5,0.75,1,1.5,2.5]},"cores":{"type":"integer","minimum":1,"maximum":24},"perConductor":{"type":"integer","minimum":1,"maximum":4},"clad":{"type":"boolean"}},"required":["kind","conductorClass","mm2","cores"]},{"type":"object","additionalProperties":false,"properties":{"kind":{"const":"awg"},"gauge":{"type":"integer","minimum":10,"maximum":28},"cores":{"type":"integer","minimum":1,"maximum":24},"perConductor":{"type":"integer","minimum":1,"maximum":4},"clad":{"type":"boolean"}},"required":["kind","gauge","cores"]}]}},"required":["controller","lengthM","type"]}},"required":["id","ref","sheet","cabinet","supply","address","serial","mac"]};
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
if(data.fedFrom !== undefined){
let data12 = data.fedFrom;
if(data12 && typeof data12 == "object" && !Array.isArray(data12)){
if(!(false)){
if(data12.controller === undefined){
const err44 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "controller"},message:"must have required property '"+"controller"+"'"};
if(vErrors === null){
vErrors = [err44];
}
else {
vErrors.push(err44);
}
errors++;
}
}
if(!(false)){
if(data12.lengthM === undefined){
const err45 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "lengthM"},message:"must have required property '"+"lengthM"+"'"};
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
if(data12.type === undefined){
const err46 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/required",keyword:"required",params:{missingProperty: "type"},message:"must have required property '"+"type"+"'"};
if(vErrors === null){
vErrors = [err46];
}
else {
vErrors.push(err46);
}
errors++;
}
}
for(const key2 in data12){
if(!(((key2 === "controller") || (key2 === "lengthM")) || (key2 === "type"))){
const err47 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key2},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err47];
}
else {
vErrors.push(err47);
}
errors++;
}
}
if(data12.controller !== undefined){
let data13 = data12.controller;
if(typeof data13 === "string"){
if(func3(data13) > 80){
const err48 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err48];
}
else {
vErrors.push(err48);
}
errors++;
}
if(func3(data13) < 1){
const err49 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err49];
}
else {
vErrors.push(err49);
}
errors++;
}
if(!pattern0.test(data13)){
const err50 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
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
const err51 = {instancePath:instancePath+"/fedFrom/controller",schemaPath:"#/properties/fedFrom/properties/controller/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err51];
}
else {
vErrors.push(err51);
}
errors++;
}
}
if(data12.lengthM !== undefined){
let data14 = data12.lengthM;
if(typeof data14 == "number"){
if(data14 > 500 || isNaN(data14)){
const err52 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/maximum",keyword:"maximum",params:{comparison: "<=", limit: 500},message:"must be <= 500"};
if(vErrors === null){
vErrors = [err52];
}
else {
vErrors.push(err52);
}
errors++;
}
if(data14 <= 0 || isNaN(data14)){
const err53 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/exclusiveMinimum",keyword:"exclusiveMinimum",params:{comparison: ">", limit: 0},message:"must be > 0"};
if(vErrors === null){
vErrors = [err53];
}
else {
vErrors.push(err53);
}
errors++;
}
}
else {
const err54 = {instancePath:instancePath+"/fedFrom/lengthM",schemaPath:"#/properties/fedFrom/properties/lengthM/type",keyword:"type",params:{type: "number"},message:"must be number"};
if(vErrors === null){
vErrors = [err54];
}
else {
vErrors.push(err54);
}
errors++;
}
}
if(data12.type !== undefined){
let data15 = data12.type;
const _errs35 = errors;
let valid5 = false;
const _errs36 = errors;
if(data15 && typeof data15 == "object" && !Array.isArray(data15)){
if(!(false)){
if(data15.kind === undefined){
const err55 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err55];
}
else {
vErrors.push(err55);
}
errors++;
}
}
if(!(false)){
if(data15.conductorClass === undefined){
const err56 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "conductorClass"},message:"must have required property '"+"conductorClass"+"'"};
if(vErrors === null){
vErrors = [err56];
}
else {
vErrors.push(err56);
}
errors++;
}
}
if(!(false)){
if(data15.mm2 === undefined){
const err57 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "mm2"},message:"must have required property '"+"mm2"+"'"};
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
if(data15.cores === undefined){
const err58 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/required",keyword:"required",params:{missingProperty: "cores"},message:"must have required property '"+"cores"+"'"};
if(vErrors === null){
vErrors = [err58];
}
else {
vErrors.push(err58);
}
errors++;
}
}
for(const key3 in data15){
if(!((((((key3 === "kind") || (key3 === "conductorClass")) || (key3 === "mm2")) || (key3 === "cores")) || (key3 === "perConductor")) || (key3 === "clad"))){
const err59 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key3},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err59];
}
else {
vErrors.push(err59);
}
errors++;
}
}
if(data15.kind !== undefined){
if("iec" !== data15.kind){
const err60 = {instancePath:instancePath+"/fedFrom/type/kind",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/kind/const",keyword:"const",params:{allowedValue: "iec"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err60];
}
else {
vErrors.push(err60);
}
errors++;
}
}
if(data15.conductorClass !== undefined){
let data17 = data15.conductorClass;
if(!((data17 === 2) || (data17 === 5))){
const err61 = {instancePath:instancePath+"/fedFrom/type/conductorClass",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/conductorClass/enum",keyword:"enum",params:{allowedValues: schema11.properties.fedFrom.properties.type.anyOf[0].properties.conductorClass.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err61];
}
else {
vErrors.push(err61);
}
errors++;
}
}
if(data15.mm2 !== undefined){
let data18 = data15.mm2;
if(!(((((data18 === 0.5) || (data18 === 0.75)) || (data18 === 1)) || (data18 === 1.5)) || (data18 === 2.5))){
const err62 = {instancePath:instancePath+"/fedFrom/type/mm2",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/mm2/enum",keyword:"enum",params:{allowedValues: schema11.properties.fedFrom.properties.type.anyOf[0].properties.mm2.enum},message:"must be equal to one of the allowed values"};
if(vErrors === null){
vErrors = [err62];
}
else {
vErrors.push(err62);
}
errors++;
}
}
if(data15.cores !== undefined){
let data19 = data15.cores;
if(!((typeof data19 == "number") && (!(data19 % 1) && !isNaN(data19)))){
const err63 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err63];
}
else {
vErrors.push(err63);
}
errors++;
}
if(typeof data19 == "number"){
if(data19 > 24 || isNaN(data19)){
const err64 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/maximum",keyword:"maximum",params:{comparison: "<=", limit: 24},message:"must be <= 24"};
if(vErrors === null){
vErrors = [err64];
}
else {
vErrors.push(err64);
}
errors++;
}
if(data19 < 1 || isNaN(data19)){
const err65 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/cores/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
if(vErrors === null){
vErrors = [err65];
}
else {
vErrors.push(err65);
}
errors++;
}
}
}
if(data15.perConductor !== undefined){
let data20 = data15.perConductor;
if(!((typeof data20 == "number") && (!(data20 % 1) && !isNaN(data20)))){
const err66 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err66];
}
else {
vErrors.push(err66);
}
errors++;
}
if(typeof data20 == "number"){
if(data20 > 4 || isNaN(data20)){
const err67 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/maximum",keyword:"maximum",params:{comparison: "<=", limit: 4},message:"must be <= 4"};
if(vErrors === null){
vErrors = [err67];
}
else {
vErrors.push(err67);
}
errors++;
}
if(data20 < 1 || isNaN(data20)){
const err68 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/perConductor/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
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
if(data15.clad !== undefined){
if(typeof data15.clad !== "boolean"){
const err69 = {instancePath:instancePath+"/fedFrom/type/clad",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/properties/clad/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err69];
}
else {
vErrors.push(err69);
}
errors++;
}
}
}
else {
const err70 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/0/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err70];
}
else {
vErrors.push(err70);
}
errors++;
}
var _valid0 = _errs36 === errors;
valid5 = valid5 || _valid0;
if(!valid5){
const _errs48 = errors;
if(data15 && typeof data15 == "object" && !Array.isArray(data15)){
if(!(false)){
if(data15.kind === undefined){
const err71 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "kind"},message:"must have required property '"+"kind"+"'"};
if(vErrors === null){
vErrors = [err71];
}
else {
vErrors.push(err71);
}
errors++;
}
}
if(!(false)){
if(data15.gauge === undefined){
const err72 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "gauge"},message:"must have required property '"+"gauge"+"'"};
if(vErrors === null){
vErrors = [err72];
}
else {
vErrors.push(err72);
}
errors++;
}
}
if(!(false)){
if(data15.cores === undefined){
const err73 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/required",keyword:"required",params:{missingProperty: "cores"},message:"must have required property '"+"cores"+"'"};
if(vErrors === null){
vErrors = [err73];
}
else {
vErrors.push(err73);
}
errors++;
}
}
for(const key4 in data15){
if(!(((((key4 === "kind") || (key4 === "gauge")) || (key4 === "cores")) || (key4 === "perConductor")) || (key4 === "clad"))){
const err74 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key4},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err74];
}
else {
vErrors.push(err74);
}
errors++;
}
}
if(data15.kind !== undefined){
if("awg" !== data15.kind){
const err75 = {instancePath:instancePath+"/fedFrom/type/kind",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/kind/const",keyword:"const",params:{allowedValue: "awg"},message:"must be equal to constant"};
if(vErrors === null){
vErrors = [err75];
}
else {
vErrors.push(err75);
}
errors++;
}
}
if(data15.gauge !== undefined){
let data23 = data15.gauge;
if(!((typeof data23 == "number") && (!(data23 % 1) && !isNaN(data23)))){
const err76 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err76];
}
else {
vErrors.push(err76);
}
errors++;
}
if(typeof data23 == "number"){
if(data23 > 28 || isNaN(data23)){
const err77 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/maximum",keyword:"maximum",params:{comparison: "<=", limit: 28},message:"must be <= 28"};
if(vErrors === null){
vErrors = [err77];
}
else {
vErrors.push(err77);
}
errors++;
}
if(data23 < 10 || isNaN(data23)){
const err78 = {instancePath:instancePath+"/fedFrom/type/gauge",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/gauge/minimum",keyword:"minimum",params:{comparison: ">=", limit: 10},message:"must be >= 10"};
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
if(data15.cores !== undefined){
let data24 = data15.cores;
if(!((typeof data24 == "number") && (!(data24 % 1) && !isNaN(data24)))){
const err79 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err79];
}
else {
vErrors.push(err79);
}
errors++;
}
if(typeof data24 == "number"){
if(data24 > 24 || isNaN(data24)){
const err80 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/maximum",keyword:"maximum",params:{comparison: "<=", limit: 24},message:"must be <= 24"};
if(vErrors === null){
vErrors = [err80];
}
else {
vErrors.push(err80);
}
errors++;
}
if(data24 < 1 || isNaN(data24)){
const err81 = {instancePath:instancePath+"/fedFrom/type/cores",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/cores/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
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
if(data15.perConductor !== undefined){
let data25 = data15.perConductor;
if(!((typeof data25 == "number") && (!(data25 % 1) && !isNaN(data25)))){
const err82 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err82];
}
else {
vErrors.push(err82);
}
errors++;
}
if(typeof data25 == "number"){
if(data25 > 4 || isNaN(data25)){
const err83 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/maximum",keyword:"maximum",params:{comparison: "<=", limit: 4},message:"must be <= 4"};
if(vErrors === null){
vErrors = [err83];
}
else {
vErrors.push(err83);
}
errors++;
}
if(data25 < 1 || isNaN(data25)){
const err84 = {instancePath:instancePath+"/fedFrom/type/perConductor",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/perConductor/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
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
if(data15.clad !== undefined){
if(typeof data15.clad !== "boolean"){
const err85 = {instancePath:instancePath+"/fedFrom/type/clad",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/properties/clad/type",keyword:"type",params:{type: "boolean"},message:"must be boolean"};
if(vErrors === null){
vErrors = [err85];
}
else {
vErrors.push(err85);
}
errors++;
}
}
}
else {
const err86 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf/1/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err86];
}
else {
vErrors.push(err86);
}
errors++;
}
var _valid0 = _errs48 === errors;
valid5 = valid5 || _valid0;
}
if(!valid5){
const err87 = {instancePath:instancePath+"/fedFrom/type",schemaPath:"#/properties/fedFrom/properties/type/anyOf",keyword:"anyOf",params:{},message:"must match a schema in anyOf"};
if(vErrors === null){
vErrors = [err87];
}
else {
vErrors.push(err87);
}
errors++;
}
else {
errors = _errs35;
if(vErrors !== null){
if(_errs35){
vErrors.length = _errs35;
}
else {
vErrors = null;
}
}
}
}
}
else {
const err88 = {instancePath:instancePath+"/fedFrom",schemaPath:"#/properties/fedFrom/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err88];
}
else {
vErrors.push(err88);
}
errors++;
}
}
}
else {
const err89 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err89];
}
else {
vErrors.push(err89);
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

export const job_edit = validate12;
const schema13 = {"type":"object","additionalProperties":false,"properties":{"fields":{"type":"object","additionalProperties":false,"properties":{"name":{"type":"string","minLength":1,"maxLength":120},"client":{"type":"string","maxLength":200},"site":{"type":"string","maxLength":200},"zone":{"type":"string","minLength":1,"maxLength":120},"network":{"type":"object","additionalProperties":false,"properties":{"address":{"type":"string","maxLength":200},"prefix":{"type":"integer","minimum":8,"maximum":30},"gateway":{"type":"string","maxLength":200},"timeServer":{"type":"string","maxLength":200},"reserved":{"type":"string","maxLength":200}},"required":["address","prefix","gateway","timeServer"]},"limits":{"type":"object","additionalProperties":false,"properties":{"watchS":{"type":"number","minimum":1,"maximum":86400},"receiptS":{"type":"number","minimum":1,"maximum":86400},"reachS":{"type":"number","minimum":1,"maximum":86400},"clockS":{"type":"number","minimum":1,"maximum":86400}},"required":["watchS","receiptS","reachS","clockS"]}},"required":[]}},"required":["fields"]};

function validate12(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
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
validate12.errors = vErrors;
return errors === 0;
}

export const area_put = validate13;
const schema14 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"code":{"type":"string","pattern":"^[A-Z0-9]{1,4}$"},"name":{"type":"string","minLength":1,"maxLength":120},"parent":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","code","name"]};
const pattern11 = new RegExp("^[A-Z0-9]{1,4}$", "u");

function validate13(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
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
if(!pattern11.test(data1)){
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
validate13.errors = vErrors;
return errors === 0;
}

export const doors_edit = validate14;
const schema15 = {"type":"object","additionalProperties":false,"properties":{"doors":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"minItems":1,"maxItems":5000,"uniqueItems":true},"fields":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"to":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"escapeRoute":{"type":"boolean"},"handle":{"type":"boolean"},"otherWayOut":{"type":"boolean"},"outdoor":{"type":"boolean"},"pinned":{"type":"boolean"},"passagesPerDay":{"type":"integer","minimum":0,"maximum":100000},"behaviour":{"type":"object","additionalProperties":false,"properties":{"releaseS":{"type":"number","minimum":0.5,"maximum":3600},"heldOpenS":{"type":"number","minimum":1,"maximum":3600},"relockDelayS":{"type":"number","minimum":0,"maximum":3600},"forcedAlarm":{"type":"boolean"}},"required":[],"minProperties":1}},"required":[],"minProperties":1}},"required":["doors","fields"]};

function validate14(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
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
if(!(func2.call(schema15.properties.fields.properties, key1))){
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
validate14.errors = vErrors;
return errors === 0;
}

export const person_put = validate15;
const schema16 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"number":{"type":"string","maxLength":200},"name":{"type":"string","minLength":1,"maxLength":120},"cards":{"type":"array","maxItems":10,"items":{"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"format":{"type":"string","maxLength":40},"facility":{"type":"integer"},"number":{"type":"integer"},"serial":{"type":"string","maxLength":40},"state":{"enum":["in use","lost"]}},"required":["id","facility","number","state"]}},"groups":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"maxItems":50}},"required":["id","number","name","cards","groups"]};

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
if(!(((((key0 === "id") || (key0 === "number")) || (key0 === "name")) || (key0 === "cards")) || (key0 === "groups"))){
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
if(!((data10 === "in use") || (data10 === "lost"))){
const err31 = {instancePath:instancePath+"/cards/" + i0+"/state",schemaPath:"#/properties/cards/items/properties/state/enum",keyword:"enum",params:{allowedValues: schema16.properties.cards.items.properties.state.enum},message:"must be equal to one of the allowed values"};
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
}
else {
const err39 = {instancePath:instancePath+"/groups",schemaPath:"#/properties/groups/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err39];
}
else {
vErrors.push(err39);
}
errors++;
}
}
}
else {
const err40 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err40];
}
else {
vErrors.push(err40);
}
errors++;
}
validate15.errors = vErrors;
return errors === 0;
}

export const group_put = validate16;
const schema17 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120}},"required":["id","name"]};

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
if(!((key0 === "id") || (key0 === "name"))){
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
}
else {
const err10 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
validate16.errors = vErrors;
return errors === 0;
}

export const rule_put = validate17;
const schema18 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"group":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"doors":{"type":"array","items":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"minItems":1,"maxItems":1000},"schedule":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"}},"required":["id","group","doors","schedule"]};

function validate17(data, {instancePath="", parentData, parentDataProperty, rootData=data, isAllOfVariant = 0}={}){
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
if(data.group === undefined){
const err1 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "group"},message:"must have required property '"+"group"+"'"};
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
if(!(false)){
if(data.schedule === undefined){
const err3 = {instancePath,schemaPath:"#/required",keyword:"required",params:{missingProperty: "schedule"},message:"must have required property '"+"schedule"+"'"};
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
if(!((((key0 === "id") || (key0 === "group")) || (key0 === "doors")) || (key0 === "schedule"))){
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
if(data.group !== undefined){
let data1 = data.group;
if(typeof data1 === "string"){
if(func3(data1) > 80){
const err9 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err9];
}
else {
vErrors.push(err9);
}
errors++;
}
if(func3(data1) < 1){
const err10 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err10];
}
else {
vErrors.push(err10);
}
errors++;
}
if(!pattern0.test(data1)){
const err11 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
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
const err12 = {instancePath:instancePath+"/group",schemaPath:"#/properties/group/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err12];
}
else {
vErrors.push(err12);
}
errors++;
}
}
if(data.doors !== undefined){
let data2 = data.doors;
if(Array.isArray(data2)){
if(data2.length > 1000){
const err13 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/maxItems",keyword:"maxItems",params:{limit: 1000},message:"must NOT have more than 1000 items"};
if(vErrors === null){
vErrors = [err13];
}
else {
vErrors.push(err13);
}
errors++;
}
if(data2.length < 1){
const err14 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/minItems",keyword:"minItems",params:{limit: 1},message:"must NOT have fewer than 1 items"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
const len0 = data2.length;
for(let i0=0; i0<len0; i0++){
let data3 = data2[i0];
if(typeof data3 === "string"){
if(func3(data3) > 80){
const err15 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
if(func3(data3) < 1){
const err16 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
if(!pattern0.test(data3)){
const err17 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
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
const err18 = {instancePath:instancePath+"/doors/" + i0,schemaPath:"#/properties/doors/items/type",keyword:"type",params:{type: "string"},message:"must be string"};
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
const err19 = {instancePath:instancePath+"/doors",schemaPath:"#/properties/doors/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
}
}
if(data.schedule !== undefined){
let data4 = data.schedule;
if(typeof data4 === "string"){
if(func3(data4) > 80){
const err20 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/maxLength",keyword:"maxLength",params:{limit: 80},message:"must NOT have more than 80 characters"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
if(func3(data4) < 1){
const err21 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/minLength",keyword:"minLength",params:{limit: 1},message:"must NOT have fewer than 1 characters"};
if(vErrors === null){
vErrors = [err21];
}
else {
vErrors.push(err21);
}
errors++;
}
if(!pattern0.test(data4)){
const err22 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/pattern",keyword:"pattern",params:{pattern: "^[A-Za-z0-9_.:-]+$"},message:"must match pattern \""+"^[A-Za-z0-9_.:-]+$"+"\""};
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
const err23 = {instancePath:instancePath+"/schedule",schemaPath:"#/properties/schedule/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err23];
}
else {
vErrors.push(err23);
}
errors++;
}
}
}
else {
const err24 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
validate17.errors = vErrors;
return errors === 0;
}

export const schedule_put = validate18;
const schema19 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"periods":{"type":"array","maxItems":30,"items":{"type":"object","additionalProperties":false,"properties":{"days":{"type":"array","items":{"type":"integer","minimum":1,"maximum":7},"uniqueItems":true},"from":{"type":"string","maxLength":5},"to":{"type":"string","maxLength":5}},"required":["days","from","to"]}}},"required":["id","name","periods"]};

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
if(!(((key0 === "id") || (key0 === "name")) || (key0 === "periods"))){
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
if(data.periods !== undefined){
let data2 = data.periods;
if(Array.isArray(data2)){
if(data2.length > 30){
const err11 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/maxItems",keyword:"maxItems",params:{limit: 30},message:"must NOT have more than 30 items"};
if(vErrors === null){
vErrors = [err11];
}
else {
vErrors.push(err11);
}
errors++;
}
const len0 = data2.length;
for(let i0=0; i0<len0; i0++){
let data3 = data2[i0];
if(data3 && typeof data3 == "object" && !Array.isArray(data3)){
if(!(false)){
if(data3.days === undefined){
const err12 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "days"},message:"must have required property '"+"days"+"'"};
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
if(data3.from === undefined){
const err13 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "from"},message:"must have required property '"+"from"+"'"};
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
if(data3.to === undefined){
const err14 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/required",keyword:"required",params:{missingProperty: "to"},message:"must have required property '"+"to"+"'"};
if(vErrors === null){
vErrors = [err14];
}
else {
vErrors.push(err14);
}
errors++;
}
}
for(const key1 in data3){
if(!(((key1 === "days") || (key1 === "from")) || (key1 === "to"))){
const err15 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/additionalProperties",keyword:"additionalProperties",params:{additionalProperty: key1},message:"must NOT have additional properties"};
if(vErrors === null){
vErrors = [err15];
}
else {
vErrors.push(err15);
}
errors++;
}
}
if(data3.days !== undefined){
let data4 = data3.days;
if(Array.isArray(data4)){
const len1 = data4.length;
for(let i1=0; i1<len1; i1++){
let data5 = data4[i1];
if(!((typeof data5 == "number") && (!(data5 % 1) && !isNaN(data5)))){
const err16 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/type",keyword:"type",params:{type: "integer"},message:"must be integer"};
if(vErrors === null){
vErrors = [err16];
}
else {
vErrors.push(err16);
}
errors++;
}
if(typeof data5 == "number"){
if(data5 > 7 || isNaN(data5)){
const err17 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/maximum",keyword:"maximum",params:{comparison: "<=", limit: 7},message:"must be <= 7"};
if(vErrors === null){
vErrors = [err17];
}
else {
vErrors.push(err17);
}
errors++;
}
if(data5 < 1 || isNaN(data5)){
const err18 = {instancePath:instancePath+"/periods/" + i0+"/days/" + i1,schemaPath:"#/properties/periods/items/properties/days/items/minimum",keyword:"minimum",params:{comparison: ">=", limit: 1},message:"must be >= 1"};
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
let i2 = data4.length;
let j0;
if(i2 > 1){
const indices0 = {};
for(;i2--;){
let item0 = data4[i2];
if(!((typeof item0 == "number") && (!(item0 % 1) && !isNaN(item0)))){
continue;
}
if(typeof indices0[item0] == "number"){
j0 = indices0[item0];
const err19 = {instancePath:instancePath+"/periods/" + i0+"/days",schemaPath:"#/properties/periods/items/properties/days/uniqueItems",keyword:"uniqueItems",params:{i: i2, j: j0},message:"must NOT have duplicate items (items ## "+j0+" and "+i2+" are identical)"};
if(vErrors === null){
vErrors = [err19];
}
else {
vErrors.push(err19);
}
errors++;
break;
}
indices0[item0] = i2;
}
}
}
else {
const err20 = {instancePath:instancePath+"/periods/" + i0+"/days",schemaPath:"#/properties/periods/items/properties/days/type",keyword:"type",params:{type: "array"},message:"must be array"};
if(vErrors === null){
vErrors = [err20];
}
else {
vErrors.push(err20);
}
errors++;
}
}
if(data3.from !== undefined){
let data6 = data3.from;
if(typeof data6 === "string"){
if(func3(data6) > 5){
const err21 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
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
const err22 = {instancePath:instancePath+"/periods/" + i0+"/from",schemaPath:"#/properties/periods/items/properties/from/type",keyword:"type",params:{type: "string"},message:"must be string"};
if(vErrors === null){
vErrors = [err22];
}
else {
vErrors.push(err22);
}
errors++;
}
}
if(data3.to !== undefined){
let data7 = data3.to;
if(typeof data7 === "string"){
if(func3(data7) > 5){
const err23 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/maxLength",keyword:"maxLength",params:{limit: 5},message:"must NOT have more than 5 characters"};
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
const err24 = {instancePath:instancePath+"/periods/" + i0+"/to",schemaPath:"#/properties/periods/items/properties/to/type",keyword:"type",params:{type: "string"},message:"must be string"};
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
else {
const err25 = {instancePath:instancePath+"/periods/" + i0,schemaPath:"#/properties/periods/items/type",keyword:"type",params:{type: "object"},message:"must be object"};
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
const err26 = {instancePath:instancePath+"/periods",schemaPath:"#/properties/periods/type",keyword:"type",params:{type: "array"},message:"must be array"};
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
const err27 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err27];
}
else {
vErrors.push(err27);
}
errors++;
}
validate18.errors = vErrors;
return errors === 0;
}

export const specialDay_put = validate19;
const schema20 = {"type":"object","additionalProperties":false,"properties":{"id":{"type":"string","minLength":1,"maxLength":80,"pattern":"^[A-Za-z0-9_.:-]+$"},"name":{"type":"string","minLength":1,"maxLength":120},"date":{"type":"string","format":"date"},"periods":{"type":"array","maxItems":10,"items":{"type":"object","additionalProperties":false,"properties":{"from":{"type":"string","maxLength":5},"to":{"type":"string","maxLength":5}},"required":["from","to"]}}},"required":["id","name","date","periods"]};
const formats0 = exportsOf(module1).fullFormats.date;

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
if(!((((key0 === "id") || (key0 === "name")) || (key0 === "date")) || (key0 === "periods"))){
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
}
else {
const err24 = {instancePath,schemaPath:"#/type",keyword:"type",params:{type: "object"},message:"must be object"};
if(vErrors === null){
vErrors = [err24];
}
else {
vErrors.push(err24);
}
errors++;
}
validate19.errors = vErrors;
return errors === 0;
}
